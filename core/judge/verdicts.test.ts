import { describe, expect, it } from 'vitest';
import { putLine, putLines } from '../plan/put';
import { blankPlan } from '../plan/blank';
import { readTyped } from '../reader/read';
import { readLine } from '../reader/read-line';
import { readTrade } from '../reader/trade/read';
import { sentence } from '../words/findings';
import { judgePlan, type LineReport, problems } from './judge';
import { type Code, SEVERITIES, type Severity } from './types';

/** From words to verdict: lines told at length, as people tell them who ask whether it will do. */
function judged(text: string): LineReport {
  const { specs } = readTyped(text, {}, readTrade);
  expect(specs.length, text).toBeGreaterThan(0);
  const plan = blankPlan();
  specs.forEach((spec, k) => putLine(plan, spec, (role) => `l${k}-${role}`));
  return judgePlan(plan)[0];
}
const codes = (report: LineReport): Code[] => problems(report).map((f) => f.code);

describe('from words to verdict', () => {
  it.each<[text: string, least: Severity, most: Severity, says: Code | null, not: readonly Code[]]>([
    // A thru of a DI that its own line feeds needs nothing; one that is buffered, or whose line is not fed, is told.
    ['bass, active DI, thru to a bass amp, 20 m xlr, mic input, phantom on', 'note', 'note', null, ['phantom-none']],
    ['bass, active DI, thru to a bass amp, 20 m xlr, mic input, phantom off', 'stop', 'stop', 'phantom-off', []],
    // What something runs on.
    ['bass, 3 m, active DI on battery, 20 m xlr, mic input, phantom off', 'note', 'note', null, ['phantom-off']],
    [
      'drum machine, 3 m, active DI with its battery low, 20 m xlr, mic',
      'care',
      'stop',
      'battery-low',
      ['phantom-off']
    ],
    ['valve guitar amp speaker output, speaker DI, no speaker connected, mic', 'danger', 'danger', 'no-load', []],
    // Of a stereo source alone two sides cancel, whatever a pad takes off.
    [
      'mixer aux out, isolator, 40 dB inline pad, xlr to minijack lead, camera mic input',
      'care',
      'care',
      'core-saturates',
      ['stereo-cancels']
    ],
    ['laptop headphone output, stereo minijack to xlr cable 3 m, mic input', 'stop', 'stop', 'stereo-cancels', []],
    ['phone headphone output, minijack to two RCA 3 m, RCA input', 'clean', 'note', null, ['right-shorted']],
    // A leg left open, by the output that it is of.
    ['desk out, 5 m xlr, xlr to jack lead with pin 3 open, line input', 'note', 'note', 'half-balanced', []],
    [
      'desk out, transformer output, 5 m xlr, xlr to jack lead with pin 3 open, line input',
      'care',
      'care',
      'half-balanced',
      []
    ],
    ['dynamic mic, lead with pins 2 and 3 swapped, 10 m, mic input', 'note', 'note', 'contacts-swapped', []],
    // What stands in the wall by an earthed plug, and the other end on another circuit.
    [
      'laptop on earthed charger, 3 m minijack to jack lead, mixer line input on another circuit',
      'care',
      'stop',
      'loop',
      ['right-shorted']
    ],
    ['laptop on two-pin charger, 3 m minijack to jack lead, mixer line input', 'clean', 'note', null, ['loop']],
    [
      'HDMI extractor RCA outputs, projector on another mains circuit, 5 m RCA, mixer line inputs',
      'care',
      'care',
      'loop',
      []
    ],
    ['HDMI extractor RCA outputs, 5 m RCA, mixer line inputs', 'note', 'note', null, ['loop']],
    [
      'soundcard of a PC with earthed supply, RCA, 15 m to mixer line input on other circuit',
      'care',
      'stop',
      'loop',
      []
    ],
    ['line output 600 ohm unbalanced, 50 m at 150 pF per metre, line input', 'care', 'care', 'long-unbalanced', []],
    ['synth, active DI, 20 m XLR with pin 2 open, mic input phantom on', 'care', 'stop', 'half-balanced', []],
    ['microphone into a line input through a 10 m XLR', 'stop', 'stop', 'too-quiet', []],
    [
      'passive DI used backwards as a re-amp box from interface line output into a guitar amp, 3 m',
      'stop',
      'stop',
      'steps-up',
      ['double-stops']
    ],
    [
      'XLR to RCA lead with pins 1 and 3 joined from a transformer output, 5 m',
      'stop',
      'stop',
      'clips',
      ['half-balanced']
    ],
    ['powered mixer record out RCA to laptop minijack mic input, 2 m', 'stop', 'stop', 'clips', []],
    ['PA amplifier bridged 1000 W, speaker-level DI, 10 m XLR', 'danger', 'danger', null, ['no-load']],
    // A level is that of what it is said of.
    [
      'consumer player RCA -10 dBV, 3 m RCA lead, XLR line input +4 dBu',
      'clean',
      'note',
      null,
      ['leg-on-shield', 'clips']
    ],
    ['DJ mixer RCA record output, 10 m RCA, desk line input', 'note', 'note', null, ['leg-on-shield']],
    ['tape machine -10 dBV outputs into +4 dBu line inputs through converter, 2 m RCA', 'clean', 'note', null, []],
    // Phantom of another voltage; a module before a clip-on; a splitter whose outputs are wires, and one for lines.
    ['12 V phantom mic input, condenser microphone, 10 m XLR', 'stop', 'stop', 'phantom-weak', []],
    ['condenser, 10 m XLR, mic input with phantom 45 V', 'clean', 'clean', null, []],
    [
      'lavalier with 3.5 mm plug into phantom adapter, 20 m XLR, mic input phantom on',
      'clean',
      'note',
      null,
      ['phantom-into-source']
    ],
    [
      'condenser, passive splitter with two direct outputs, 30 m XLR, mic input phantom on',
      'clean',
      'note',
      null,
      ['phantom-blocked']
    ],
    [
      'press split: programme +4 dBu, transformer splitter, 10 m XLR, recorder line input',
      'note',
      'care',
      null,
      ['too-hot']
    ],
    [
      'mono desk output split with a Y to left and right of a recorder line input, 3 m',
      'clean',
      'note',
      null,
      ['clips']
    ],
    // Leads where they were said, of what is balanced.
    [
      'interface line output, 3 m TRS lead, reamp box, 3 m jack, guitar amp',
      'note',
      'care',
      'headroom',
      ['leg-on-shield']
    ],
    [
      're-amp: interface line output, 3 m TRS, straight into guitar amp',
      'care',
      'care',
      'leg-on-shield',
      ['core-saturates']
    ],
    // What was made for one another.
    ['lavalier straight to the camera microphone input, 1.2 m', 'note', 'note', null, ['too-quiet']],
    ['turntable, 1.2 m RCA, phono preamp, 2 m, line input', 'note', 'note', null, ['treble-loss']],
    ['acoustic with magnetic soundhole pickup, 4 m jack, active DI, 20 m xlr, mic', 'note', 'care', null, []],
    ['CD player -10 dBV, 2 m RCA, balanced line input at +4 dBu', 'clean', 'note', null, ['clips', 'too-hot']],
    // Two things that stand alone, on two circuits.
    [
      'hearing loop amplifier fed from the desk by 40 m unbalanced jack lead on another mains circuit',
      'care',
      'care',
      'loop',
      []
    ],
    // Phantom is traced through everything between.
    ['condenser mic, 10 m xlr, isolator, 20 m xlr, mic input, phantom on', 'stop', 'stop', 'phantom-blocked', []],
    [
      'acoustic guitar with preamp, 3 m jack, active DI, 20 m xlr, isolator, 5 m xlr, mic input',
      'stop',
      'stop',
      'phantom-blocked',
      []
    ],
    ['keyboard, 2 m, passive DI, 20 m xlr, mic input', 'clean', 'note', null, ['phantom-blocked']],
    // ... and may come from elsewhere, or by the side that is wired straight through.
    [
      'condenser mic, 10 m xlr, isolated leg of a splitter whose direct leg feeds the desk with phantom on, 30 m xlr, mic input with phantom off',
      'clean',
      'note',
      null,
      ['phantom-blocked', 'phantom-off']
    ],
    [
      'condenser mic, 10 m xlr, isolated leg of a splitter with the direct leg unconnected, 30 m xlr, mic input with phantom on',
      'stop',
      'stop',
      'phantom-blocked',
      []
    ],
    [
      'passive bass, 3 m jack, active DI on the direct leg of a splitter, 40 m xlr, mic input with phantom on',
      'clean',
      'note',
      null,
      ['phantom-blocked']
    ],
    [
      'condenser mic, 5 m xlr, phantom power supply unit, 20 m xlr, mic input without phantom',
      'clean',
      'note',
      null,
      ['phantom-off', 'phantom-none']
    ],
    // A cabinet in parallel is a load, two speakers on one output are no two plugs, and what is joined does not cancel.
    [
      '100 W bass amplifier speaker output paralleled with its 8 ohm cabinet, speaker DI with 40 dB pad, 30 m xlr, mic input',
      'clean',
      'note',
      null,
      ['no-load']
    ],
    [
      'mono desk output to two active speakers by a Y lead, 30 m xlr each',
      'clean',
      'note',
      null,
      ['half-balanced', 'long-unbalanced']
    ],
    [
      'phone headphone output, 3 m minijack to XLR lead joining tip and ring, mic input',
      'care',
      'stop',
      null,
      ['stereo-cancels']
    ],
    ['ribbon mic, 10 m xlr, patch bay, mic input, phantom on', 'stop', 'stop', 'phantom-on-ribbon', []],
    ['ribbon mic, 10 m xlr, mic input, phantom on', 'care', 'care', 'phantom-on-ribbon', []],
    // An unbalanced run by what it costs.
    ['keyboard line output, 6 m jack lead, line input', 'note', 'note', 'long-unbalanced', ['treble-loss']],
    ['keyboard line output, 25 m jack lead, line input', 'care', 'care', 'long-unbalanced', ['treble-loss']],
    ['keyboard line output, 25 m jack lead, line input on another mains circuit', 'care', 'stop', 'loop', []],
    // What is not there was not there.
    ['turntable and no phono stage, 1 m rca, desk line input', 'stop', 'stop', 'phono-into-line', ['clips']],
    ['guitar humbucker, 3 m jack lead, instrument input 1 Mohm, no DI', 'clean', 'note', null, ['box-as-adapter']],
    // Numbers that belong to things.
    [
      'dynamic microphone of 200 ohm, 10 m xlr, mic input 2 kohm',
      'clean',
      'care',
      null,
      ['equal-impedances', 'treble-loss']
    ],
    ['dynamic microphone of 2 kohm, 10 m xlr, mic input 2 kohm', 'care', 'care', 'equal-impedances', []],
    ['guitar single coil, 10 m jack lead at 300 pF per metre, instrument input', 'care', 'stop', 'treble-loss', []],
    // What can hurt.
    ['keyboard with its earth pin cut off, 3 m, line input', 'danger', 'danger', 'earth-removed', []],
    [
      'singer with a dynamic mic, 10 m xlr, mic input, guitar amp on a 3 to 2 adapter',
      'danger',
      'danger',
      'earth-removed',
      []
    ],
    ['valve amp, 2 m, load box in through mode, no cabinet, 10 m xlr, mic input', 'danger', 'danger', 'no-load', []],
    ['valve amp, 2 m, load box, 10 m xlr, mic input', 'clean', 'stop', null, ['no-load']],
    // Batteries.
    ['bass with active DI on a dying battery, 20 m xlr, mic input', 'care', 'care', 'battery-low', []],
    [
      'active bass with a flat nine-volt battery, 5 m jack, passive DI, 20 m xlr, mic in',
      'care',
      'care',
      'battery-low',
      []
    ],
    // Where it goes was said first.
    [
      'camera minijack input from mixer line output, 3 m xlr to minijack lead',
      'stop',
      'stop',
      'too-hot',
      ['plug-does-not-fit']
    ],
    ['hearing loop amplifier fed from desk balanced output +4 dBu, 30 m xlr', 'clean', 'note', null, []],
    // A switch that is told to be out is out; a speaker pad that is not there is not there.
    [
      'hi-fi amplifier loudspeaker output, 5 m lead, passive DI without speaker pad, mic input',
      'danger',
      'danger',
      'speaker-level',
      []
    ],
    [
      'power amplifier output, 5 m lead, passive DI with speaker pad, 10 m xlr, mic input',
      'clean',
      'note',
      null,
      ['speaker-level']
    ],
    [
      'valve amp speaker output with its cabinet connected, speaker DI, 15 m xlr, mic in',
      'clean',
      'care',
      null,
      ['no-load']
    ],
    // A lead that parts the sides of a stereo jack shorts neither and cancels nothing.
    [
      'tablet headphone output, 3 m minijack to two RCA lead, RCA input',
      'clean',
      'note',
      null,
      ['right-shorted', 'stereo-cancels']
    ],
    [
      'television headphone output, 5 m minijack lead, hearing loop amplifier',
      'clean',
      'note',
      null,
      ['stereo-cancels']
    ],
    ['laptop, minijack to XLR lead 3 m, mic input', 'stop', 'stop', 'stereo-cancels', []],
    // What hurt somebody.
    [
      'guitarist gets a shock from the vocal mic, dynamic mic, 10 m xlr, mic input',
      'danger',
      'danger',
      'earth-removed',
      []
    ],
    [
      'dynamic vocal mic, 10 m xlr, mic input, guitar amp on a two-pin adaptor',
      'danger',
      'danger',
      'earth-removed',
      []
    ],
    // Ordinary patches of ordinary gear.
    ['desk main outputs, 50 m XLR, power amplifier inputs', 'clean', 'note', null, []],
    [
      'piezo acoustic with no preamp, 6 m lead, instrument input 1 Mohm of an interface',
      'clean',
      'care',
      null,
      ['leg-on-shield']
    ],
    [
      'turntable with built-in phono preamp, 2 m RCA, RCA line input',
      'clean',
      'note',
      null,
      ['phono-into-line', 'treble-loss']
    ],
    ['bass into tuner with buffer, 6 m jack, passive DI, 30 m XLR, mic input', 'clean', 'note', null, []]
  ])('%s', (text, least, most, says, not) => {
    const report = judged(text);
    const rank = SEVERITIES.indexOf(report.severity);
    expect(rank, codes(report).join()).toBeGreaterThanOrEqual(SEVERITIES.indexOf(least));
    expect(rank, codes(report).join()).toBeLessThanOrEqual(SEVERITIES.indexOf(most));
    if (says) expect(codes(report)).toContain(says);
    for (const code of not) expect(codes(report)).not.toContain(code);
    for (const f of report.findings) expect(sentence(f)).not.toMatch(/NaN|undefined/);
  });

  it('an isolator in an unbalanced lead parts two grounds: it ends a loop, and leaves a two-pin source with nowhere to put its leakage', () => {
    const below = (source: string, box: string): number =>
      judged(`${source} on another circuit, 3 m rca, ${box}1 m rca, RCA in`).hum!.below;
    const gain = (source: string): number => below(source, 'RCA isolator, ') - below(source, '');
    expect(gain('CD player earthed')).toBeGreaterThan(40);
    expect(gain('CD player')).toBeLessThan(-20);
  });

  it('a leg that is grounded costs what the network says: of a winding nothing, of two halves six decibels', () => {
    const lost = (topology: string): number | undefined => {
      const plan = blankPlan();
      const { spec } = readLine(`balanced line (topology ${topology}), 5 m pin 3 grounded, line`);
      putLine(plan, spec!, (role) => role);
      return judgePlan(plan)[0].findings.find((f) => f.code === 'leg-on-shield')?.value;
    };
    for (const floats of ['transformer', 'cross-coupled', 'impedance-balanced']) expect(lost(floats)).toBeUndefined();
    expect(lost('symmetrical')).toBeCloseTo(6, 0);
  });

  it('an amplifier on another circuit hums by the thru of a DI whose ground is joined, and not by one whose ground is lifted', () => {
    const byThru = (text: string): Code[] => {
      const { specs } = readTyped(text, {}, readTrade);
      const plan = blankPlan();
      putLines(plan, specs, (k) => (role) => `l${k}-${role}`);
      const reports = judgePlan(plan);
      expect(reports.length, text).toBe(2);
      return reports.flatMap(codes);
    };
    const line = (lift: string, amp: string): string =>
      `bass guitar, 3 m jack, passive DI ${lift}, ${amp}, 30 m XLR, mic`;
    for (const amp of [
      'thru to a bass amp on another mains circuit',
      'his amp fed from the thru, on another circuit'
    ]) {
      expect(byThru(line('with ground lift closed', amp)), amp).toContain('loop');
      expect(byThru(line('with ground lift open', amp)), amp).not.toContain('loop');
    }
    expect(byThru(line('with ground lift closed', 'thru to a bass amp'))).not.toContain('loop');
  });
});
