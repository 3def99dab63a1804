import { resolve } from '../plan/resolved';
import { describe, expect, it } from 'vitest';
import { remediesFor, type Remedy } from '../advise/remedies';
import { routesFor } from '../advise/routes';
import { type Route } from '$core/advise/route';
import { Stock } from '../advise/stock';
import { MISTAKES } from '../casebook/mistakes';
import { lineOf, planOf } from '../casebook/cases';
import { readKit } from '../reader/kit';
import {
  asksFor,
  decibelsText,
  leadName,
  needsSentence,
  partName,
  standing,
  standingSentence,
  switchesText,
  wayName,
  wayShort
} from './routes';
import { othersText, remedyText } from './remedies';

const plain = (text: string): string => text.replaceAll('\u202F', ' ');
function ways(says: string, stock?: Stock): readonly Route[] {
  const plan = planOf({ says });
  return routesFor(plan, resolve(plan).line('in')!, stock ? { stock } : {});
}
const bass = ways('upright bass piezo, 3 m, passive DI, 40 m, mic');
const of = (list: readonly Route[], id: string, input = 'mic-in'): Route =>
  list.find((r) => r.way.id === id && r.way.input === input)!;

describe('ways in words', () => {
  it.each([
    ['active-10m', 'Active DI 10 MΩ, into a mic input', 'active DI, 10 MΩ'],
    [
      'active-10m-isolated',
      'Active DI 10 MΩ, then isolator 1:1, into a mic input',
      'active DI, 10 MΩ, then 1:1 isolating transformer'
    ],
    ['microphone', 'Microphone, into a mic input', 'microphone'],
    ['direct', 'Straight into a mic input', 'straight in']
  ])('%s', (id, long, short) => {
    expect(wayName(of(bass, id))).toBe(long);
    expect(wayShort(of(bass, id))).toBe(short);
  });
  it('every one has a name, a standing and what it asks for, whole', () => {
    for (const [place, route] of bass.entries())
      for (const text of [
        wayName(route),
        wayShort(route),
        standing(route, place),
        standingSentence(route),
        asksFor(route, false)
      ])
        expect(text).toMatch(/^(?!.*(undefined|NaN|null)).+/);
  });
  it('what a way asks for, from a kit and from anything', () => {
    expect(asksFor(of(bass, 'active-10m'), false)).toBe('needs phantom, cheap, 2 parts');
    const kit = { box: readKit('1 active DI 10m').items[0] };
    const poor = ways('upright bass piezo, 3 m, passive DI, 40 m multicore, mic', new Stock(kit));
    expect(plain(asksFor(of(poor, 'active-10m'), true))).toBe('needs phantom, cheap, not in your kit: 3 m jack lead');
    expect(plain(asksFor(of(poor, 'economy'), true))).toContain(
      'not in your kit: economy passive DI and 3 m jack lead'
    );
  });
  it('switches that are not as they come are said', () => {
    const hot = ways('modular rack earthed on Stage, 3 m, active DI, 40 m, mic');
    expect(plain(switchesText(of(hot, 'passive')))).toBe('ground lifted, DI pad −10 dB');
    expect(switchesText(of(bass, 'active-10m'))).toBe('');
    const feed = ways('balanced line on Stage, 30 m, line');
    expect(feed.map((r) => plain(switchesText(r))).some((t) => t.startsWith('output set to '))).toBe(true);
  });
  it('needs read as a sentence, and none as well', () => {
    expect(needsSentence([])).toBe('No DI needed: a plain cable will do.');
    expect(needsSentence(['level'])).toBe('On a plain cable it would need another level.');
    expect(needsSentence(['connector', 'impedance', 'balancing'])).toBe(
      'On a plain cable it would need another connector, a higher impedance and balancing.'
    );
  });
});

describe('parts in words', () => {
  it.each([
    ['lead:mic:xlr-xlr', 10, '10 m microphone cable'],
    ['lead:rca:rca-ts', 3, '3 m RCA lead, RCA to mono jack'],
    ['isolator', 0, '1:1 isolating transformer'],
    ['battery', 0, 'battery']
  ])('%s', (what, metres, name) => expect(plain(partName({ what, metres }))).toBe(name));
  it('a lead with its usual plugs needs no more words', () => {
    expect(leadName('instrument', ['ts', 'ts'])).toBe('jack lead');
    expect(leadName('instrument', ['ts', 'xlr'])).toBe('jack lead, mono jack to XLR');
  });
});

describe('decibels between two ways', () => {
  it.each([
    [{ deviation: 0.4, snr: -0.2, hum: 0 }, 'within 1 dB'],
    [{ deviation: 6.2, snr: 3, hum: -12 }, '6 dB less flat, 3 dB less noise, 12 dB more hum'],
    [{ deviation: -2, snr: -4, hum: 5 }, '2 dB flatter, 4 dB more noise, 5 dB less hum']
  ])('%o', (decibels, text) => expect(decibelsText(decibels)).toBe(text));
});

describe('remedies in words', () => {
  it('of every mistake are sentences, each with a verb or a thing', () => {
    for (const mistake of MISTAKES) {
      const plan = planOf(mistake);
      for (const remedy of remediesFor(plan, resolve(plan).line(lineOf(mistake))!))
        expect(plain(remedyText(remedy.what)), mistake.id).toMatch(/^[A-Z1].{8,}$/);
    }
  }, 300_000);
  it('what they do to others is told, the worst first, three at most', () => {
    const others: Remedy['others'] = [
      { lineId: 'a', before: 'clean', after: 'clean', humDb: 6.2 },
      { lineId: 'b', before: 'clean', after: 'stop', humDb: 0 },
      { lineId: 'c', before: 'care', after: 'note', humDb: 0 },
      { lineId: 'd', before: 'note', after: 'note', humDb: -4 }
    ];
    expect(plain(othersText({ others }, (id) => id.toUpperCase()))).toBe(
      'Also: B clean → stop, D 4 dB more hum, A 6 dB less hum, and 1 more.'
    );
  });
});
