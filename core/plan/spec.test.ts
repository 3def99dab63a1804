import { describe, expect, it } from 'vitest';
import { addThru, device, lead, oneLine, run } from '../tests/plans';
import { blankPlan } from './blank';
import { planFaults } from './integrity';
import { isComplete, traceLines } from './lines';
import { rolesOf, specOf } from './spec';
import { dropLine, putLine } from './put';

const bass = {
  name: 'Bass',
  channel: 3,
  source: device('passive-bass'),
  lead: lead(3),
  box: device('active-di', { pad: '10' }),
  run: run(30),
  input: device('mic-in', { phantom: 'on' })
};

describe('a spoken line in a plan', () => {
  it('puts an adapter between a lead and a balanced run, a coupler between two leads', () => {
    const joint = (second: ReturnType<typeof run>) => {
      const { plan } = oneLine({
        source: device('line-unbalanced'),
        lead: lead(5),
        run: second,
        input: device('line-in')
      });
      expect(planFaults(plan)).toEqual([]);
      return plan.devices.mid.model;
    };
    expect(joint(run(40))).toBe('jack-to-xlr');
    expect(joint(lead(5))).toBe('coupler');
  });

  it('keeps ids where the role stays, and takes the box out whole', () => {
    const plan = blankPlan();
    putLine(plan, bass, (role) => role);
    const [line] = traceLines(plan);
    const before = { ...plan.devices };
    putLine(
      plan,
      { ...bass, name: 'Bass, straight', box: null, run: null, lead: lead(6), input: device('instrument-in') },
      (r) => `new-${r}`,
      line
    );
    expect(Object.keys(plan.devices).sort()).toEqual(['in', 'src']);
    expect(Object.keys(plan.cables)).toEqual(['lead']);
    expect(plan.cables.lead).toMatchObject({ metres: 6, plugs: ['ts', 'ts'], to: { device: 'in', port: 'in' } });
    expect(plan.lines.in).toMatchObject({ name: 'Bass, straight', channel: 3 });
    expect(plan.devices.in.host).toBe(before.in.host);
    expect(planFaults(plan)).toEqual([]);
    putLine(plan, bass, (r) => `again-${r}`, traceLines(plan)[0]);
    expect(specOf(plan, traceLines(plan)[0])).toMatchObject({
      name: 'Bass',
      box: { model: 'active-di', settings: { pad: '10' } }
    });
  });

  it('gives a mains device a supply, a battery one none', () => {
    const supply = (model: string) =>
      oneLine({ source: device(model), lead: lead(3), input: device('line-in') }).plan.devices.src.supply;
    expect(supply('line-unbalanced')).toBe('house');
    expect(supply('piezo')).toBeUndefined();
  });

  it('remembers a plug that is not the usual one', () => {
    const { plan, line } = oneLine({
      source: device('line-unbalanced'),
      lead: lead(3, { plugs: [null, 'xlr'] }),
      input: device('mic-in')
    });
    expect(plan.cables.lead.plugs).toEqual(['ts', 'xlr']);
    expect(specOf(plan, line)!.lead!.plugs).toEqual([null, null]);
    plan.cables.lead.plugs[1] = 'rca';
    expect(specOf(plan, line)!.lead!.plugs).toEqual([null, 'rca']);
  });

  it('has no words for boxes without end, and for what has no source', () => {
    const plan = blankPlan();
    const more = Array.from({ length: 4 }, () => ({ box: device('isolator'), run: run(1) }));
    putLine(plan, { ...bass, more }, (role) => role);
    const [long] = traceLines(plan);
    expect([long.devices.length, isComplete(plan, long)]).toEqual([7, true]);
    expect(specOf(plan, long)).toBeNull();
    delete plan.devices.src;
    delete plan.cables.lead;
    expect(rolesOf(plan, traceLines(plan)[0])).toBeNull();
  });

  it('boxes one behind the other keep their places when one is taken out', () => {
    const plan = blankPlan();
    putLine(plan, { ...bass, more: [{ box: device('isolator'), run: run(1) }] }, (role) => role);
    const [line] = traceLines(plan);
    expect(line.devices.map((id) => plan.devices[id].model)).toEqual([
      'passive-bass',
      'active-di',
      'isolator',
      'mic-in'
    ]);
    expect(planFaults(plan)).toEqual([]);
    putLine(plan, bass, (role) => `new-${role}`, line);
    expect(Object.keys(plan.devices).sort()).toEqual(['in', 'mid', 'src']);
    expect(Object.keys(plan.cables).sort()).toEqual(['lead', 'run']);
  });

  it('dropping one of two lines that share a box leaves the other whole', () => {
    const plan = blankPlan();
    putLine(plan, bass, (role) => role);
    addThru(plan);
    const amp = traceLines(plan).find((l) => l.id === 'amp')!;
    dropLine(plan, amp);
    expect(planFaults(plan)).toEqual([]);
    expect(traceLines(plan).map((l) => l.devices)).toEqual([['src', 'mid', 'in']]);
    dropLine(plan, traceLines(plan)[0]);
    expect([plan.devices, plan.cables, plan.lines]).toEqual([{}, {}, {}]);
  });
});
