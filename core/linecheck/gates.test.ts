import { describe, expect, it } from 'vitest';
import { applyEdit } from '../plan/edit';
import { resolve } from '../plan/resolved';
import type { Op, Plan } from '../plan/schema';
import { show } from '../tests/plans';
import { CAUTION_TEXTS, STEP_NAMES } from '../words/check';
import { cautionsOf, gatesFor, stepsOf } from './gates';

const BASS = 'passive bass, 3 m, active DI, 30 m, mic 1';
const of = (plan: Plan, k = 0) => ({ line: resolve(plan).line(`l${k}-in`)! });

describe('gates', () => {
  it('stand around a change of a live line: phantom goes before a plug, and comes back behind it', () => {
    const plan = show([BASS]);
    const { line } = of(plan);
    const around = (ops: Op[]) => {
      const then = applyEdit(plan, { ops });
      if (!then.ok) throw new Error(JSON.stringify(then.fault));
      return gatesFor(plan, line, ops, then.plan);
    };
    const pad: Op = { op: 'set', table: 'devices', id: 'l0-mid', path: ['settings', 'pad'], from: null, to: '20' };
    expect(around([pad])).toEqual({ before: ['gain-least', 'mute'], after: ['unmute', 'gain-set'] });
    const [lead] = line.cables;
    const longer: Op = { op: 'set', table: 'cables', id: lead, path: ['metres'], from: 3, to: 6 };
    expect(around([longer])).toEqual({
      before: ['gain-least', 'mute', 'phantom-off'],
      after: ['phantom-on', 'unmute', 'gain-set']
    });
    // Phantom alone: it goes, or comes, on its own side of the change.
    const phantom = (from: string, to: string): Op => ({
      ...{ op: 'set', table: 'devices', id: 'l0-in', path: ['settings', 'phantom'] },
      ...{ from, to }
    });
    expect(around([phantom('on', 'off')])).toEqual({
      before: ['gain-least', 'mute', 'phantom-off'],
      after: ['unmute', 'gain-set']
    });
    const off = show(['bass guitar passive bass, 3 m, active DI, 30 m, mic 1 phantom off']);
    const on = [{ ...phantom('off', 'on'), from: off.devices['l0-in'].settings.phantom ?? null }] as Op[];
    const then = applyEdit(off, { ops: on });
    expect(then.ok && gatesFor(off, of(off).line, on, then.plan)).toEqual({
      before: ['gain-least', 'mute'],
      after: ['phantom-on', 'unmute', 'gain-set']
    });
    // A switch and a plug in one edit: a plug.
    expect(around([pad, longer]).before).toContain('phantom-off');
    // Of an amplifier the load is there before it is on; turned up by a switch it stays on.
    const loud = show(['valve amp, 3 m, cabinet']);
    const cable: Op = { op: 'set', table: 'cables', id: of(loud).line.cables[0], path: ['metres'], from: 3, to: 6 };
    const longLoud = applyEdit(loud, { ops: [cable] });
    expect(longLoud.ok && gatesFor(loud, of(loud).line, [cable], longLoud.plan)).toEqual({
      before: ['amp-off', 'gain-least', 'mute'],
      after: ['load', 'unmute', 'gain-set']
    });
    expect(gatesFor(loud, of(loud).line, [], loud)).toEqual({
      before: ['gain-least', 'mute'],
      after: ['unmute', 'gain-set']
    });
    // A line that the change takes away has no phantom to bring back.
    expect(gatesFor(plan, line, [longer], { ...plan, devices: {} }).after).toEqual(['unmute', 'gain-set']);
  });
  it.each([
    ['active DI', BASS, ['gain-least', 'mute', 'phantom-off', 'patch', 'phantom-on', 'unmute', 'gain-set']],
    [
      'active DI, phantom planned off',
      `${BASS} phantom off`,
      ['gain-least', 'mute', 'phantom-off', 'patch', 'unmute', 'gain-set']
    ],
    [
      'active DI on its battery',
      'passive bass, 3 m, active DI on battery, 30 m, mic 1',
      ['gain-least', 'mute', 'phantom-off', 'patch', 'unmute', 'gain-set']
    ],
    [
      'dynamic microphone',
      'dynamic mic, 20 m, mic 1',
      ['gain-least', 'mute', 'phantom-off', 'patch', 'unmute', 'gain-set']
    ],
    [
      'condenser',
      'condenser mic, 20 m, mic 1 phantom on',
      ['gain-least', 'mute', 'phantom-off', 'patch', 'phantom-on', 'unmute', 'gain-set']
    ],
    ['line input', 'keyboard, 3 m, line 1', ['gain-least', 'mute', 'patch', 'unmute', 'gain-set']],
    ['amplifier', 'valve amp, 3 m, cabinet', ['amp-off', 'gain-least', 'mute', 'patch', 'load', 'unmute', 'gain-set']]
  ])('safe steps of a line: %s', (_, text, steps) => {
    const plan = show([text]);
    expect(stepsOf(plan, of(plan).line)).toEqual(steps);
    for (const step of stepsOf(plan, of(plan).line)) expect(STEP_NAMES[step]).toBeTruthy();
  });
  it('caution where it applies, and only there', () => {
    const cautions = (text: string) => {
      const plan = show([text]);
      return cautionsOf(plan, of(plan).line);
    };
    expect(cautions('valve amp, 3 m, cabinet')).toEqual(['speaker-level', 'valve']);
    expect(cautions('power amp bridged, 3 m, cabinet')).toEqual(['speaker-level', 'bridged']);
    expect(cautions('keyboard earth removed, 3 m, line')).toEqual(['earth-removed']);
    expect(cautions('ribbon mic, 20 m, mic')).toEqual(['ribbon', 'tingle']);
    expect(cautions('rca player wall-wart, 3 m, rca input')).toEqual([]);
    expect(cautions('single coil, 3 m, active DI, 20 m, mic')).toEqual(['tingle']);
    expect(cautions('keyboard, 3 m, line')).toEqual([]);
    expect(CAUTION_TEXTS.tingle).toMatch(/licensed/);
    // In the open, whatever hangs on the mains.
    const open = show(['keyboard earthed, 3 m, line']);
    expect(cautionsOf(open, of(open).line)).not.toContain('outdoors');
    open.policy.outdoors = true;
    expect(cautionsOf(open, of(open).line)).toContain('outdoors');
    expect(CAUTION_TEXTS.outdoors).toMatch(/residual-current/);
    // Nothing of it on the mains, nothing to say; a box on it is enough.
    const battery = show(['passive bass, 3 m, active DI on battery, 20 m, mic']);
    battery.policy.outdoors = true;
    battery.hosts.desk.feed = 'battery';
    expect(cautionsOf(battery, of(battery).line)).toEqual(['tingle']);
    battery.hosts.desk.feed = 'mains-1';
    expect(cautionsOf(battery, of(battery).line)).toEqual(['outdoors', 'tingle']);
  });
});
