import { expect, describe, it } from 'vitest';
import { blankPlan } from '../plan/blank';
import { putLines } from '../plan/put';
import { readTyped } from '../reader/read';
import { readTrade } from '../reader/trade/read';
import { judgePlan, problems } from './judge';
import { type Code, SEVERITIES, type Severity } from './types';

/** Lines told at length, each with how bad it is and what is worst about it; null where nothing is wrong. */
const LINES: readonly (readonly [text: string, worst: Severity, code: Code | null])[] = [
  [
    'violin with passive piezo bridge pickup, 6 m jack lead, passive transformer DI, 20 m XLR, mic input, phantom off',
    'stop',
    'bass-loss'
  ],
  [
    'active bass with 9 V battery, 4 m jack lead, active DI on phantom, 30 m XLR, mic input, phantom on',
    'care',
    'headroom'
  ],
  ['electric guitar single coil, 10 m jack lead at 150 pF per metre, guitar amp input', 'care', 'treble-loss'],
  [
    'synthesizer stereo outputs into two passive DIs with ground lift closed, both on the same mains circuit as the desk, 25 m multicore, mic inputs',
    'note',
    'headroom'
  ],
  [
    'laptop headphone output, stereo minijack to stereo jack lead 3 m, balanced mono line input',
    'stop',
    'stereo-cancels'
  ],
  ['two laptop channels joined by a Y lead tip and ring shorted, 5 m, mono line input', 'stop', 'outputs-joined'],
  [
    'CD player RCA output, 2 m RCA lead, RCA-to-XLR adapter with pin 3 grounded, mic input with phantom on',
    'stop',
    'phantom-into-source'
  ],
  ['condenser microphone, 60 m XLR, mic input with phantom off', 'stop', 'phantom-off'],
  ['ribbon microphone passive, 10 m XLR, mic input 600 ohm, phantom off', 'care', 'loads'],
  ['dynamic microphone with on/off switch, 50 m XLR, mic input with phantom on', 'clean', null],
  ['interface line output +4 dBu balanced, 10 m XLR, mic input without pad', 'stop', 'clips'],
  ['interface line output +4 dBu balanced, 10 m XLR, mic input with 20 dB pad', 'note', 'headroom'],
  ['keyboard output 2 V, 3 m jack, passive DI, 100 m XLR, mic input', 'note', 'headroom'],
  [
    'guitar amp 100 W speaker output into passive DI without speaker pad, cabinet connected on the thru',
    'danger',
    'speaker-level'
  ],
  ['valve head 50 W speaker output into a speaker DI, no cabinet connected', 'danger', 'no-load'],
  ['piezo pickup without preamp straight into mic input 2 kohm, 5 m lead', 'stop', 'too-quiet'],
  ['cello piezo, 2 m jack, active DI 1 Mohm, 15 m XLR, mic input phantom on', 'stop', 'bass-loss'],
  ['double bass piezo, 3 m, active DI 10 Mohm, 15 m XLR, mic input phantom on', 'clean', null],
  ['humbucker guitar, 3 m jack, passive DI, 15 m XLR, mic input', 'note', 'treble-loss'],
  ['mixer main output XLR +4 dBu, 80 m XLR, active speaker input', 'note', 'headroom'],
  [
    'mixer aux output unbalanced jack, 20 m jack lead, active speaker input on another mains circuit',
    'care',
    'long-unbalanced'
  ],
  ['TV headphone output, 5 m minijack to RCA, RCA input of hi-fi amplifier', 'note', 'long-unbalanced'],
  ['wireless receiver jack output at mic level, 3 m jack, line input', 'care', 'too-quiet'],
  ['hearing loop amplifier fed from desk matrix output +4 dBu, 40 m XLR, line input', 'note', 'headroom'],
  ['electric piano passive output, 5 m jack, passive DI, 20 m XLR, mic input', 'clean', null],
  ['electric piano passive output, 5 m jack, active DI, 20 m XLR, mic input phantom on', 'clean', null],
  [
    're-amp: interface line output +4 dBu, 3 m TRS, straight into guitar amp input with a TRS to TS lead',
    'care',
    'clips'
  ],
  ['re-amp: interface line output, 3 m TRS lead, reamp box, 3 m jack, guitar amp', 'care', 'headroom'],
  [
    'bass amp DI output post EQ, ground lift closed, 30 m XLR to mic input on another mains circuit',
    'care',
    'headroom'
  ],
  ['acoustic guitar preamp output, 10 m jack lead straight to mixer line input, on stage', 'note', 'long-unbalanced'],
  ['theremin output, 3 m jack, 1 Mohm instrument input', 'care', 'clips'],
  [
    'guitar wireless receiver jack output, 0.3 m patch lead, pedalboard, 6 m jack, guitar amp',
    'note',
    'long-unbalanced'
  ],
  [
    'keyboard left output only, 5 m jack, active DI on phantom with 20 dB pad, 30 m XLR, mic input',
    'note',
    'long-unbalanced'
  ],
  [
    'condenser microphone, passive splitter with two direct outputs both with phantom on, 30 m XLR, mic input',
    'clean',
    null
  ],
  ['dynamic microphone, transformer splitter isolated leg, 50 m XLR, mic input, phantom off', 'note', 'loads'],
  [
    'condenser microphone through a mic level isolation transformer, 10 m XLR, mic input phantom on',
    'stop',
    'phantom-blocked'
  ],
  ['recorder RCA input from desk main output +4 dBu, 5 m XLR to RCA with pin 3 open', 'care', 'clips'],
  [
    'recorder RCA input from desk main output transformer balanced, XLR to RCA with pin 3 open, 5 m',
    'care',
    'half-balanced'
  ],
  ['phone headphone socket, 2 m minijack to two jacks, stereo passive DI, 20 m multicore, mic inputs', 'clean', null],
  ['smartphone on its charger, mono media DI with ground lift closed, 20 m XLR, mic input', 'clean', null],
  ['HDMI extractor RCA outputs, 5 m RCA, mixer line inputs, projector on another mains circuit', 'care', 'loop'],
  [
    'desk aux output to powered wedge 40 m XLR, wedge on another circuit, shield lifted at the wedge',
    'note',
    'headroom'
  ],
  ['powered speaker thru output, 20 m XLR, second powered speaker input', 'note', 'headroom'],
  ['power amp 70 V line output into a passive DI, 10 m', 'danger', 'speaker-level'],
  ['100 V line, speaker DI with 40 dB pad, 20 m XLR, mic input', 'note', 'headroom'],
  [
    'guitar amp extension speaker output, load box with line output, 10 m XLR, mic input, no cabinet',
    'note',
    'headroom'
  ],
  ['transistor guitar amp speaker output with no cabinet, speaker DI, 10 m XLR', 'note', 'headroom'],
  ['acoustic amp XLR DI output, 40 m XLR, mic input phantom on', 'care', 'headroom'],
  ['piezo, 3 m, buffer, 20 m jack lead, mixer line input', 'stop', 'bass-loss'],
  ['violin piezo, onboard preamp with 9 V battery, 6 m jack, passive DI, 30 m XLR, mic input', 'clean', null],
  [
    'electric guitar humbucker through true bypass pedals, 9 m of jack lead in all, passive DI with amp on the thru',
    'stop',
    'treble-loss'
  ],
  ['electric guitar, 3 m jack, buffer pedal, 15 m jack, guitar amp', 'care', 'long-unbalanced'],
  ['bass with volume at half, 6 m jack, passive DI, 20 m XLR', 'clean', null],
  ['soundhole magnetic pickup, 4 m jack, mic input 2 kohm through a jack to XLR transformer', 'stop', 'treble-loss'],
  ['ribbon microphone, inline booster on phantom, 20 m XLR, mic input phantom on', 'clean', null],
  ['ribbon microphone, inline booster, 20 m XLR, mic input phantom off', 'stop', 'phantom-off'],
  ['dynamic microphone, inline booster on phantom, 20 m XLR, mic input phantom on', 'clean', null],
  ['lavalier wired to a beltpack, 1 m', 'clean', null],
  ['stereo mixer record output RCA, 2 m, stereo minijack camera line input', 'clean', null],
  ['modular synth output 10 V peak to peak, 3 m jack, line input', 'note', 'headroom'],
  ['modular synth output 10 V peak to peak, 3 m jack, passive DI, 20 m XLR, mic input', 'note', 'headroom'],
  ['drum machine output, 3 m jack, active DI without pad, 15 m XLR, mic input phantom on', 'care', 'clips'],
  [
    'keyboard through a 3 m jack to a stage amp line input, amp line output 20 m jack to desk',
    'care',
    'long-unbalanced'
  ],
  ['dynamic microphone, 20 m XLR with pin 2 and 3 swapped at one end, mic input', 'note', 'contacts-swapped'],
  ['dynamic microphone, 30 m XLR cable with a broken shield, mic input phantom off', 'clean', null],
  ['condenser microphone, 30 m XLR cable with a broken shield, mic input phantom on', 'stop', 'phantom-weak'],
  ['condenser microphone, 20 m XLR with pin 3 open, mic input phantom on', 'stop', 'phantom-weak'],
  ['active DI, synth, pad off, 20 m XLR with pin 2 open, mic input phantom on', 'stop', 'clips'],
  ['line level over 500 m of multicore, desk output, active speaker', 'note', 'headroom'],
  ['upright bass magnetic pickup, 4 m jack, passive DI, 20 m XLR', 'care', 'treble-loss'],
  ['kick drum boundary condenser at 130 dB SPL, 15 m XLR, mic input with no pad', 'care', 'too-hot'],
  ['snare dynamic mic at 135 dB SPL, 15 m XLR, mic input gain at minimum', 'note', 'headroom'],
  ['opera singer at 3 m with a condenser, average 80 dB SPL, 20 m XLR, mic input', 'clean', null],
  ['harpsichord 2 m away at 65 dB SPL, ribbon mic, 20 m XLR, mic input 60 dB of gain', 'stop', 'too-quiet'],
  ['speech at 50 cm, lectern gooseneck condenser, 70 dB SPL, 40 m XLR', 'note', 'too-quiet'],
  ['radio mic receiver output at mic level, 30 m XLR, mic input', 'clean', null],
  ['in-ear transmitter fed by mixer aux output, 10 m XLR', 'note', 'headroom'],
  ['mixer headphone output feeding a camera mic input, 3 m minijack', 'stop', 'clips'],
  ['desk +4 dBu output into interface instrument input, 3 m jack', 'care', 'clips'],
  ['electric guitar into interface line input, 3 m jack', 'stop', 'treble-loss'],
  ['electric guitar into mic input through a passive DI and 20 dB pad', 'note', 'too-quiet'],
  ['piezo violin wireless transmitter, receiver jack output, 5 m, active DI', 'note', 'leg-on-shield'],
  ['CD player through an isolating transformer, 30 m, RCA input of an amp', 'care', 'long-unbalanced'],
  ['stage piano balanced XLR outputs, 40 m, mic inputs pads in', 'note', 'loads'],
  ['stage piano balanced XLR outputs, 40 m, line inputs', 'clean', null],
  [
    'passive DI used backwards as a re-amp box from interface line output at +4 dBu into a guitar amp, 3 m',
    'stop',
    'core-saturates'
  ],
  ['keyboard to mic input with a jack to XLR lead 10 m, phantom off', 'care', 'equal-impedances'],
  ['guitar straight into a stage box mic input with a jack to XLR adapter, 5 m', 'stop', 'treble-loss'],
  ['projector audio output, 10 m minijack, mixer line input', 'note', 'long-unbalanced'],
  [
    'mixer main outputs XLR to two jack inputs of active speakers with XLR to mono jack leads, 10 m',
    'care',
    'half-balanced'
  ],
  [
    'XLR to RCA adapter lead with pin 3 grounded from a cross-coupled desk output to an amplifier, 5 m',
    'note',
    'long-unbalanced'
  ],
  [
    'broadcast feed: desk matrix +4 dBu through a 1:1 isolation transformer, 100 m, OB truck line input',
    'note',
    'headroom'
  ],
  [
    'broadcast feed at mic level: desk matrix through a 50 dB pad, 100 m, OB truck mic input with phantom on',
    'stop',
    'phantom-into-source'
  ],
  [
    'hum: keyboard and desk on different phases, 15 m jack to a passive DI with lift closed, 30 m XLR',
    'care',
    'long-unbalanced'
  ],
  [
    'hum: keyboard and desk on different phases, 5 m jack to a passive DI with lift open, 30 m XLR',
    'note',
    'long-unbalanced'
  ],
  ['active DI with pad 20 dB for a bass, 30 m XLR, mic input phantom on', 'clean', null],
  ['passive bass into 10 kohm line input, 5 m', 'stop', 'treble-loss'],
  ['single coil guitar into 10 kohm line input through 3 m', 'stop', 'treble-loss'],
  ['piezo into 20 kohm line input 3 m', 'stop', 'too-quiet'],
  [
    'theatre radio mic: lavalier into beltpack, receiver XLR out at line level into mic input without pad',
    'note',
    'headroom'
  ],
  ['CD player RCA, 2 m, stereo minijack, laptop microphone input', 'stop', 'clips'],
  ['guitar amp headphone out 3.5 mm, mono media DI, 10 m XLR, mic', 'clean', null],
  [
    'bass head 300 W solid state, speaker out to DI with 40 dB pad then cabinet, 10 m XLR, mic input',
    'note',
    'headroom'
  ],
  ['100 W valve amp into an attenuator, attenuator line out, 3 m, interface line input', 'note', 'headroom'],
  ['acoustic piezo with 1 nF, 6 m jack, buffer with 10 Mohm, 10 m, DI', 'care', 'bass-loss'],
  ['vocal mic dynamic through a vocal effects pedal, XLR output mic level, 20 m, mic input', 'clean', null],
  ['dynamic mic through 4 wall boxes and a patch bay, 80 m in all, mic input', 'clean', null],
  ['interface in laptop on two pin charger, powered speakers earthed, 5 m jack unbalanced', 'note', 'leg-on-shield'],
  ['contact mic on cymbal straight to mic preamp, 3 m jack to XLR', 'stop', 'bass-loss']
];

describe('lines told at length', () => {
  it.each(LINES)('%s', (text, worst, code) => {
    const plan = blankPlan();
    putLines(plan, readTyped(text, {}, readTrade).specs, (k) => (role) => `l${k}-${role}`);
    const found = problems(judgePlan(plan)[0]);
    const rank = (severity: Severity): number => SEVERITIES.indexOf(severity);
    const most = found.reduce<Severity>((a, f) => (rank(f.severity) > rank(a) ? f.severity : a), 'clean');
    expect(most).toBe(worst);
    const what = found.filter((f) => f.severity === most).map((f) => f.code);
    if (code === null) expect(what).toEqual([]);
    else expect(what).toContain(code);
  });
});
