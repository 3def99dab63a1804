import { describe, expect, it } from 'vitest';
import { applyEdit } from '../../plan/edit';
import { resolve } from '../../plan/resolved';
import { specOf } from '../../plan/spec';
import { saltRoad } from '../../../src/lib/server/demo-shows';
import { LIST_HEADING, listRows } from '../write-list';
import type { Column } from './columns';
import { LISTS } from '../../tests/phrases/lists';
import { readList } from './list';

const said = (text: string, given?: readonly Column[]) =>
  readList(text, given).rows.flatMap((r) =>
    r.reading.specs.map((s) => [s.channel, s.name, s.source.model, s.note ?? ''])
  );

/** Each line as "channel name: source box". */
const read = (text: string): string[] =>
  readList(text).rows.flatMap((r) =>
    r.reading.specs.map((s) => `${s.channel ?? '-'} ${s.name}: ${s.source.model}${s.box ? ` ${s.box.model}` : ''}`)
  );

describe('columns of an input list', () => {
  it('are known by their headings, in any order and by any separator', () => {
    const rows = [
      ['Notes', 'Mic / DI', 'Name', 'Ch'],
      ['short boom', 'dynamic mic', 'Kick', '1'],
      ['', 'passive DI', 'Keys', '2']
    ];
    for (const by of ['\t', ',', ';', ' | '])
      expect(said(rows.map((r) => r.join(by)).join('\n'))).toEqual([
        [1, 'Kick', 'dynamic-mic', 'short boom'],
        [2, 'Keys', 'line-unbalanced', '']
      ]);
  });
  it('are known by what stands in them where there is no heading', () => {
    const { table } = readList('short boom,1,Kick,dynamic mic\ntall boom,2,Vocal,condenser\n,3,Keys,passive DI');
    expect(table?.columns).toEqual(['note', 'channel', 'name', 'what']);
  });
  it('may be told otherwise, and are then taken as told', () => {
    const text = 'Ch\tName\tMic / DI\tNotes\n1\tKick\tdynamic mic\tcondenser';
    const given: Column[] = ['channel', 'name', 'skip', 'what'];
    expect(said(text)[0][3]).toBe('condenser');
    expect(said(text, given)).toEqual([[1, 'Kick', 'condenser-mic', '']]);
  });
  it('quotes and doubled quotes are one cell; text that is no table has no columns', () => {
    expect(said('Ch,Name,Mic / DI,Notes\n4,"Keys ""A""","line out, passive DI","low, left"')).toEqual([
      [4, 'Keys "A"', 'line-unbalanced', 'low, left']
    ]);
    expect(readList('Hello, we bring a guitar amp with a mic.\nThanks, Ida').table).toBeNull();
  });
  it('stands are kept as notes from a letter as well', () => {
    expect(said('1: vox - dyn, tall boom\n2: bass - active DI')[0][3]).toBe('tall boom');
  });
});

describe('a show as an input list', () => {
  it('reads back as the same lines', () => {
    const plan = saltRoad();
    const rows = listRows(plan);
    expect(rows[0]).toEqual([...LIST_HEADING]);
    const back = readList(rows.map((r) => r.join('\t')).join('\n'));
    expect(back.unread).toEqual([]);
    const lines = resolve(plan).lines;
    const specs = back.rows.flatMap((r) => r.reading.specs);
    expect(specs.length).toBe(lines.length);
    specs.forEach((spec, k) => {
      const meant = specOf(plan, lines[k])!;
      const shape = (s: typeof spec) => ({
        name: s.name,
        channel: s.channel,
        source: s.source.model,
        box: s.box?.model,
        input: s.input.model,
        lead: s.lead?.metres,
        run: s.run?.metres
      });
      expect(shape(spec)).toEqual(shape(meant));
    });
    expect(applyEdit(plan, { ops: [] }).ok).toBe(true);
  });

  it('takes lengths from a column of their own, in the unit that its heading says', () => {
    const metres = (text: string): (number | null)[] => readList(text).rows.map((r) => r.reading.metres);
    const table = (head: string, ...cells: string[]): string =>
      [`Ch;Source;Mic/DI;${head}`, ...cells.map((c, k) => `${k + 1};Bass;DI;${c}`)].join('\n');
    expect(metres(table('Cable (m)', '15', '7,5', ''))).toEqual([15, 7.5, null]);
    expect(metres(table('Run (ft)', '50', '3 m'))).toEqual([15.24, 3]);
    expect(metres(table('Länge', '20'))).toEqual([20]);
    // Nobody knows what a bare figure under another heading is.
    expect(metres(table('Notes', '20'))).toEqual([null]);
    // Without a heading, by what stands in it.
    expect(metres('1;Bass;DI;15 m\n2;Keys;DI;20 m\n3;Vox;dyn;10 m')).toEqual([15, 20, 10]);
  });

  it('a note beside a row makes nothing else of what its own columns say, and settles what they leave open', () => {
    const read = (...rows: string[]): string[] =>
      readList(['Ch;Source;Mic/DI;Notes', ...rows].join('\n')).rows.map(({ reading: { specs, said } }) =>
        [
          specs.map((s) => [s.source.model, s.box?.model, s.input.model].filter(Boolean).join(' > ')).join(),
          said.lowCut
        ]
          .filter(Boolean)
          .join(', ')
      );
    expect(
      read(
        '1;Laptop;mono media DI;HDMI audio as backup',
        '2;Keys;passive DI;condenser talkback next to it',
        '3;Bass;active DI;amp is miked too',
        '4;Guitar;DI;piezo',
        '6;Tracks;mono media DI;laptop',
        '5;Snare;dyn;HPF 100'
      )
    ).toEqual([
      'headphone > media-di > mic-in',
      'line-unbalanced > passive-di > mic-in',
      'passive-bass > active-di > mic-in',
      'piezo > active-di > mic-in',
      'headphone > media-di > mic-in',
      'dynamic-mic > mic-in, 100'
    ]);
    expect(
      readList('Ch;Source;Mic/DI;Notes\n1;Laptop;mono media DI;HDMI as backup').rows[0].reading.specs[0].note
    ).toBe('HDMI as backup');
  });
  it('two numbered rows in one line are two, where the second follows the first', () => {
    const text = '1. Kick\n2. Snare top / 3. Snare bottom\n4) Rack, 5) Floor - clip dynamic\n6. Vox 1 / 9. Vox 2\n';
    expect(said(text).map(([channel, name]) => `${channel} ${name}`)).toEqual(
      expect.arrayContaining(['1 Kick', '2 Snare top', '3 Snare bottom', '4 Rack', '5 Floor'])
    );
    expect(said(text).some(([channel]) => channel === 9)).toBe(false);
  });
});

describe('rows as people shorten them', () => {
  const read = (text: string): string[] =>
    readList(text).rows.flatMap((r) => r.reading.specs.map((s) => `${s.channel ?? '-'} ${s.name}: ${s.source.model}`));

  it('"same" is what the row above says in the same place', () => {
    expect(read('7 Gtr SL - ribbon on cab\n8 Gtr SR - same\n\n9 Gtr C - ditto')).toEqual([
      '7 Gtr SL: ribbon',
      '8 Gtr SR: ribbon',
      '9 Gtr C: ribbon'
    ]);
    expect(read('ch\tinst\tmic/di\n1\tvox 1\tcond\n2\tvox 2\t"')).toEqual([
      '1 Vox 1: condenser-mic',
      '2 Vox 2: condenser-mic'
    ]);
  });

  it('the label of a socket is neither a channel nor a count; a radio one tells that it is radio unless a microphone was named', () => {
    expect(read('FB2-1 Piano L (DI)\nRF1 Pastor headset\nRF3 Lectern (cond gooseneck)')).toEqual([
      '- FB2-1 Piano L: line-unbalanced',
      '- RF1 Pastor: wireless-receiver',
      '- RF3 Lectern: condenser-mic'
    ]);
  });

  it('what the band hears is no input, but a send to it is a line', () => {
    expect(read('Vocals: one dynamic\nMonitors: 2 wedges on separate mixes')).toEqual(['- Vocals: dynamic-mic']);
    expect(read('Vocals: one dynamic\nMonitors: desk aux 1 to active wedge')).toHaveLength(2);
  });
});

describe('lists as bands write them', () => {
  it('a number before things is how many there are, where rows have no numbers', () => {
    expect(
      read('hey! we are four\nbass into a DI\n2 guitars, both amps need a mic\nkeys stereo (2 DI boxes)\n2 vocal mics')
    ).toEqual([
      '- Bass: passive-bass active-di',
      '- Guitars 1: dynamic-mic',
      '- Guitars 2: dynamic-mic',
      '- Keys L: line-unbalanced passive-di',
      '- Keys R: line-unbalanced passive-di',
      '- Vocal mics 1: dynamic-mic',
      '- Vocal mics 2: dynamic-mic'
    ]);
    expect(read('2 Snare\n3 Hat\n1 Kick').map((r) => r[0])).toEqual(['2', '3', '1']);
  });

  it('a box has its number before the socket, where ranges cannot be meant', () => {
    expect(read('Gtr: dyn, sb1-1\nKit: kick in/out sb1-5/6\nKeys: 2 DIs sb2-1-2')).toEqual([
      '1 Gtr: dynamic-mic',
      '5 Kick in: dynamic-mic',
      '6 Kick out: dynamic-mic',
      '1 Keys 1: line-unbalanced passive-di',
      '2 Keys 2: line-unbalanced passive-di'
    ]);
    expect(read('Vox: dyn, sb1-3\nGtr: DI sb 4').map((r) => r[0])).toEqual(['1', '2', '3', '4']);
  });

  it('a column for the DI beside one for the source, and one that ticks phantom', () => {
    const table =
      'Input\tName\tSource type\tDI?\tPhantom\nA1\tBD\tdynamic\tno\t-\nA3\tOH\tcondenser pair\tno\tyes\nA5\tKb\tsynth\tpassive DI\t-';
    expect(read(table)).toEqual([
      '1 BD: dynamic-mic',
      '3 OH L: condenser-mic',
      '4 OH R: condenser-mic',
      '5 Kb: line-unbalanced passive-di'
    ]);
    expect(readList(table).rows[1].reading.said.phantom).toBe('on');
    // The next channel is taken: it is one.
    expect(read(table.replace('A5', 'A4'))[1]).toBe('3 OH: condenser-mic');
  });

  it('titles and what is not known yet are no rows; names stand before the first dash', () => {
    expect(read('CONFERENCE DAY 2\nMain room:\nLavs - 2 radio - 9, 10\nBreakout room: tbc')).toEqual([
      '9 Lavs 1: wireless-receiver',
      '10 Lavs 2: wireless-receiver'
    ]);
  });

  it('the channel is what the desk calls so, where rows are counted, too', () => {
    expect(read('Line | Item | Mic | Ch strip\n1 | Harp | 2 condensers | 5/6\n2 | Vox | dyn | 7')).toEqual([
      '5 Harp 1: condenser-mic',
      '6 Harp 2: condenser-mic',
      '7 Vox: dynamic-mic'
    ]);
  });
});

describe('columns and signs that people use', () => {
  it('who and how, and lengths whose unit stands in the heading', () => {
    const list = readList('Ch,Mic/Line,Who,How,Length ft\n1,Mic,Lead vox,dynamic,50\n2,DI,Keys,passive DI,60');
    expect(list.rows.map((r) => r.reading.specs[0].name)).toEqual(['Lead vox', 'Keys']);
    expect(list.rows[0].reading.specs[0].lead!.metres).toBeCloseTo(15.24, 2);
  });

  it('a column of few words is no name', () => {
    const text =
      '1\tMic\tLead vox\tdynamic\n2\tMic\tBGV\tdynamic\n3\tDI\tKeys\tpassive DI\n4\tMic\tHat\tcondenser\n5\tMic\tSnare\tdynamic';
    expect(read(text).map((r) => r.split(':')[0])).toEqual(['1 Lead vox', '2 BGV', '3 Keys', '4 Hat', '5 Snare']);
  });

  it('signs before rows are none of their names, and a section is called after what is in it', () => {
    expect(read('* DRUMS: Kick (1), OH L+R (2+3)\n* GUITAR: mic on combo (4)\n- Sax: wireless, XLR (5)')).toEqual([
      '1 Kick: dynamic-mic',
      '2 OH L: condenser-mic',
      '3 OH R: condenser-mic',
      '4 GUITAR: dynamic-mic',
      '5 Sax: wireless-receiver'
    ]);
    expect(read('10 | Gtr ac | DI (own, active)\n11 | Bass | DI\n12 | Vox | dyn')[0]).toBe(
      '10 Gtr ac: acoustic-preamp active-di'
    );
  });

  it('a row without its number among others that says its channel, and what the band hears is none', () => {
    const text =
      '1 Vox dyn\n2 Bass DI (active) + amp stays off\n3/4 Keys 2x DI\nTalkback: dyn w/ switch, ch 24\nPlayback from phone: minijack → 17/18\nWe need 3 monitor mixes. Thanks!';
    expect(read(text)).toEqual([
      '1 Vox: dynamic-mic',
      '2 Bass: passive-bass active-di',
      '3 Keys 1: line-unbalanced passive-di',
      '4 Keys 2: line-unbalanced passive-di',
      '24 Talkback: dynamic-mic',
      '17 Playback from phone 1: headphone',
      '18 Playback from phone 2: headphone'
    ]);
  });

  it('the right side is taken as the left one where nothing is said of it', () => {
    const table = 'CH,SOURCE,MIC/DI\n8,Synth L,DI\n9,Synth R,\n10,Laptop L,stereo media DI\n11,Laptop R,\n12,Harp,';
    expect(read(table)).toEqual([
      '8 Synth L: line-unbalanced passive-di',
      '9 Synth R: line-unbalanced passive-di',
      '10 Laptop L: headphone media-di-stereo',
      '11 Laptop R: headphone media-di-stereo',
      '12 Harp: piezo'
    ]);
  });

  it('two takes in one row have the channel behind it, where the next row is of another box or there is none', () => {
    expect(read('A4 Vc cond\nA5 Cb DI + cond A6\nB1 Fl cond\nB2 Hn dyn')).toEqual([
      '4 Vc: condenser-mic',
      '5 Cb DI: piezo active-di',
      '6 Cb mic: condenser-mic',
      '1 Fl: condenser-mic',
      '2 Hn: dynamic-mic'
    ]);
    expect(read('1. Vox dyn\n2. Vox 1 / 9. Vox 2').length).toBe(2);
  });

  it('numbers up to four that come back tell how many, a fifth channel that comes back is of another box', () => {
    expect(read('1 vocal mic\n4 clip mics for violins\n4 vocals dyn').map((r) => r.split(' ')[0])).toEqual(
      Array(9).fill('-')
    );
    expect(read('5 vocal mic\n4 clip violin\n5 bass DI').map((r) => r.split(' ')[0])).toEqual(['5', '4', '5']);
  });

  it('a dash behind the number counts where most rows have one and they go up', () => {
    expect(read('1-Vox dyn\n2-Bass DI\n3-Kick dyn').map((r) => r.split(' ')[0])).toEqual(['1', '2', '3']);
    const three = '1-Vox dyn\n2-Bass DI\n3-Kick dyn';
    expect(read(`${three}\ngtr cab dyn\nsnare dyn`)[0]).toMatch(/^1 /);
    expect(read(`${three}\ngtr cab dyn\nsnare dyn\nhat cond`)[0]).toMatch(/^- /);
    expect(read('5-string bass DI\n4-string bass DI\nvox dyn').map((r) => r.split(' ')[0])).toEqual(['-', '-', '-']);
  });

  it('what somebody also plays is a row of its own', () => {
    expect(read('- violin: piezo + preamp, DI please\n- 2 vocals, one of them also plays accordion (mic)')).toEqual([
      '- Violin: acoustic-preamp passive-di',
      '- Vocals 1: dynamic-mic',
      '- Vocals 2: dynamic-mic',
      '- Accordion: dynamic-mic'
    ]);
  });
});

describe('lists as they come', () => {
  it.each(LISTS.map((list) => [list.what, list] as const))('%s', (_, { text, rows, unread }) => {
    const found = readList(text.join('\n'));
    const lines = found.rows.flatMap(({ reading: { specs } }) =>
      specs.map((s) => {
        const input = s.input.model === 'mic-in' ? [] : [s.input.model];
        const what = [s.source.model, ...(s.box ? [s.box.model] : []), ...input].join(' ');
        return `${s.channel ?? '-'} ${s.name}: ${what}`;
      })
    );
    expect(lines).toEqual(rows);
    expect(found.unread.length).toBe(unread);
  });
});
