import { describe, expect, it } from 'vitest';
import { applyEdit } from '../plan/edit';
import { copyOf } from '../plan/json';
import { resolve } from '../plan/resolved';
import type { Plan } from '../plan/schema';
import { readKit } from '../reader/kit';
import { withoutName, withoutNameIn } from '../text/forget';
import { show } from '../tests/plans';
import { keepInstrument } from './keep';
import { instrumentNamed, instrumentsBeginning, type KnownInstrument, ownedName } from './named';
import { nameInstruments } from './put';
import { readInstrumentLine } from './read-line';
import { type Instrument, InstrumentSchema } from './schema';
import { isMet, meetWant, readWants } from './wants';

const line = 'cello piezo, 3 m, active DI, 20 m, mic';
const cello = (change: Partial<Instrument> = {}): Instrument => ({
  ...{ name: 'Cello', player: 'Mira', line, ...readInstrumentLine(line)! },
  ...{ own: null, wants: '', note: '' },
  ...change
});
const known = (...all: Instrument[]): KnownInstrument[] => all.map((instrument, k) => ({ id: `i-${k}`, instrument }));
const first = (plan: Plan) => resolve(plan).lines[0];
const newId = (role: string): string => `w-${role}`;

describe('an instrument by its name', () => {
  it('is found by its own name, by its player’s and its own; of two of a name neither is meant by that alone', () => {
    const one = known(cello(), cello({ name: 'Viola', player: 'Tess' }));
    for (const said of ['Cello', 'cello', 'Mira’s cello', 'mira cello', 'Cello Mira'])
      expect(instrumentNamed(one, said)?.id, said).toBe('i-0');
    for (const said of ['Cellos', 'Mira', '', 'Tess’ cello', 'Cello 2'])
      expect(instrumentNamed(one, said), said).toBeNull();
    expect(ownedName(one[1].instrument)).toBe('Tess’ viola');
    const two = known(cello(), cello({ player: 'Jun' }));
    expect(instrumentNamed(two, 'cello')).toBeNull();
    expect(instrumentNamed(two, 'Jun’s cello')?.id).toBe('i-1');
    expect(instrumentsBeginning(two, 'mi').map((i) => i.id)).toEqual(['i-0']);
    expect(instrumentsBeginning(two, 'cel')).toHaveLength(2);
  });

  it('a line that is called after it is of it, with its own values; one with another source is not, nor one that stood there', () => {
    const own = { name: 'Mira’s pickup', base: 'piezo', values: { c: { min: 9e-10, typ: 1e-9, max: 1.1e-9 } } };
    const all = known(cello({ own }));
    const before = show(
      ['Viola: piezo, 3 m, active DI, 20 m, mic 1'],
      ['Cello two: piezo, 3 m, active DI, 20 m, mic 4']
    );
    const draft = copyOf(
      show(['Cello: piezo, 3 m, active DI, 20 m, mic 1'], ['Keys: keyboard, 3 m, active DI, 20 m, mic 2'])
    );
    nameInstruments(draft, { ...before, lines: {} }, all, () => 'own-1');
    const [a, b] = resolve(copyOf(draft)).lines;
    expect(a.info?.instrument).toBe('i-0');
    expect(draft.devices[a.devices[0]]).toMatchObject({ own: 'own-1', settings: { c: 1e-9 } });
    expect(draft.models).toEqual({ 'own-1': own });
    expect(b.info?.instrument).toBeUndefined();
    const other = copyOf(show(['Cello: keyboard, 3 m, active DI, 20 m, mic 1']));
    nameInstruments(other, { ...before, lines: {} }, all, () => 'own-1');
    expect(first(other).info?.instrument).toBeUndefined();
    const stood = show(['Cello: piezo, 3 m, active DI, 20 m, mic 1']);
    const same = copyOf(stood);
    nameInstruments(same, stood, all, () => 'own-1');
    expect(same).toEqual(stood);
  });

  it('is kept off a line so that its name brings the same line again', () => {
    const plan = show(['Mira’s cello: cello piezo, 4 m, active DI 10m lifted, 25 m, mic 5']);
    const kept = keepInstrument(plan, first(plan), 'Mira')!;
    expect(kept).toMatchObject({ name: 'Cello', player: 'Mira', model: 'piezo' });
    expect(InstrumentSchema.parse(kept)).toEqual(kept);
    expect(readInstrumentLine(kept.line)).toMatchObject({ model: 'piezo' });
    const again = show([`Cello: ${kept.line} 5`]);
    expect(first(again).devices.map((id) => again.devices[id].model)).toEqual(
      first(plan).devices.map((id) => plan.devices[id].model)
    );
    expect(keepInstrument(plan, first(plan), '')!.name).toBe('Mira’s cello');
  });
});

describe('what is wanted', () => {
  const plan = show(['Cello: cello piezo, 4 m, active DI 10m, 25 m, mic 5']);
  const met = (text: string, kit = {}): (boolean | null)[] =>
    readWants(text, kit).map((w) => isMet(plan, first(plan), w));
  it.each([
    ['active DI 10m', [true]],
    ['passive DI', [false]],
    ['the passive DI, no low cut', [false, true]],
    ['low cut', [false]],
    ['low cut 80', [false]],
    ['no pad and ground connected', [true, true]],
    ['lift open', [false]],
    ['no DI', [false]],
    ['a chair without arms', [null]],
    ['phantom', [true]]
  ])('%s', (text, is) => expect(met(text)).toEqual(is));

  it('is carried out where a plan can be: the DI, the switch; never twice', () => {
    for (const text of ['passive DI', 'low cut 120', 'lifted']) {
      const [want] = readWants(text);
      const ops = meetWant(plan, first(plan), want, newId)!;
      const done = applyEdit(plan, { ops: [...ops] });
      if (!done.ok) throw new Error(text);
      expect(isMet(done.plan, first(done.plan), want), text).toBe(true);
      expect(meetWant(done.plan, first(done.plan), want, newId)).toBeNull();
    }
    expect(meetWant(plan, first(plan), readWants('no DI')[0], newId)).toBeNull();
    expect(meetWant(plan, first(plan), readWants('a chair')[0], newId)).toBeNull();
  });

  it('a box may be called as the crew calls it', () => {
    const [item] = readKit('1 preamp DI #7').items;
    const kit = { a: { ...item, name: 'the red one' } };
    expect(readWants('the red one', kit)).toMatchObject([{ code: 'box', model: 'preamp-di' }]);
    expect(readWants('the red one')).toMatchObject([{ code: 'other' }]);
  });
});

describe('a name is forgotten', () => {
  it('as a word of its own, wherever it stands; names of fields stay', () => {
    expect(withoutName('Mira wants more, MIRA said; Miranda does not', 'Mira', 'somebody')).toBe(
      'somebody wants more, somebody said; Miranda does not'
    );
    expect(withoutName('Ida  Berg’s cello', 'Ida Berg', 'somebody')).toBe('somebody’s cello');
    expect(withoutName('a.b and axb', 'a.b', 'x')).toBe('x and axb');
    expect(withoutNameIn({ note: ['note by Note', 3, null], deep: { note: 'Note' } }, 'note', 'x')).toEqual({
      note: ['x by x', 3, null],
      deep: { note: 'x' }
    });
  });
});
