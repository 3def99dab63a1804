import { sheets as says } from '../words/sheets';
import { resolve } from '../plan/resolved';
import { choicesOf, givesPhantom, modelOf, DeviceSettings, wantsPhantom } from '../gear/catalogue';
import { branchOf } from '../plan/branch';
import { type Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { formatNumber, formatQuantity } from '../units/format';
import { choiceName, modelName, modelShort, settingName } from '../words/names';
import { boxText, cableText, inputText, nameOf, settingsText, sourceText, tagOf } from '../words/paper';
import { type Group, grouped, type PaperInput, type Row, type Sheet } from './types';

/** What is plugged into what, by channel or by where it stands; and how every box and phantom switch is set. */

/** Lines with what stands on them, once for all sheets. */
export const linesOf = (plan: Plan): { line: Line; tag: string }[] =>
  resolve(plan).lines.map((line, k) => ({ line, tag: tagOf(line, k) }));

/** What a line comes into: its desk, camera or amp; what has none stands for itself. */
export const hostOf = (plan: Plan, line: Line): string => {
  const { host } = plan.devices[line.id];
  return host ? (plan.hosts[host]?.name ?? host) : says.standingForThemselves;
};
/** Where a line begins: what was written down, else the supply of its source. */
export const placeOf = (plan: Plan, line: Line): string => {
  const { supply } = plan.devices[line.devices[0]];
  return line.info?.place || (supply ? plan.supplies[supply].name : says.noPlaceGiven);
};

function patchRow(plan: Plan, { line, tag }: { line: Line; tag: string }): Row {
  const from = branchOf(plan, line)?.at ?? 0;
  const devices = line.devices.slice(from);
  const cables = line.cables.slice(from).map((id) => plan.cables[id]);
  const boxes = devices.slice(1, -1).map((id) => boxText(plan.devices[id]));
  const between = cables.slice(1, -1).map((c) => formatQuantity('length', c.metres));
  const phantom = plan.devices[line.id].settings.phantom === 'on' ? '48 V' : '';
  return {
    key: line.id,
    line: line.id,
    cells: [
      tag,
      [nameOf(line), line.info?.note].filter(Boolean).join(' · '),
      sourceText(plan, line),
      cables[0] ? cableText(cables[0]) : '',
      boxes.map((box, k) => (k === 0 ? box : `${between[k - 1]} → ${box}`)).join(' '),
      cables.length > 1 ? cableText(cables[cables.length - 1]) : '',
      inputText(plan, line),
      phantom
    ]
  };
}
const PATCH_COLUMNS = [
  { head: says.ch, wide: 5, align: 'right' },
  { head: says.line, wide: 16 },
  { head: says.from, wide: 18 },
  { head: says.lead, wide: 14 },
  { head: says.box, wide: 17 },
  { head: says.run, wide: 14 },
  { head: says.into, wide: 13 },
  { head: '48 V', wide: 6 }
] as const;

export const patchSheet = ({ plan }: PaperInput): Sheet => ({
  id: 'patch',
  title: says.patchByChannel,
  note: says.deskMutedAndPhantomOffUntil,
  columns: PATCH_COLUMNS,
  groups: grouped(
    linesOf(plan),
    ({ line }) => hostOf(plan, line),
    (l) => patchRow(plan, l)
  )
});

export const placesSheet = ({ plan }: PaperInput): Sheet => ({
  id: 'places',
  title: says.patchByPlace,
  note: says.whatIsLaidAndPluggedAt,
  columns: PATCH_COLUMNS,
  groups: grouped(
    [...linesOf(plan)].sort((a, b) => (placeOf(plan, a.line) < placeOf(plan, b.line) ? -1 : 1)),
    ({ line }) => placeOf(plan, line),
    (l) => patchRow(plan, l)
  )
});

/** One box as it is to be set: every switch with all its positions. */
export interface Card {
  readonly device: string;
  readonly line: string;
  readonly place: string;
  readonly tag: string;
  readonly name: string;
  readonly model: string;
  readonly switches: readonly { name: string; positions: readonly string[]; set: number }[];
  readonly knobs: readonly { name: string; value: string }[];
}

/** Cards of all boxes with something to set on them, each once. */
export function cardsOf({ plan }: Pick<PaperInput, 'plan'>): Card[] {
  const seen = new Set<string>();
  return linesOf(plan).flatMap(({ line, tag }) =>
    line.devices.flatMap((id): Card[] => {
      const device = plan.devices[id];
      const model = modelOf(device.model);
      if (model.family !== 'box' || seen.has(id)) return [];
      seen.add(id);
      const read = new DeviceSettings(model, device.settings);
      return [
        {
          device: id,
          line: line.id,
          place: placeOf(plan, line),
          tag,
          name: nameOf(line),
          model: modelName(device.model),
          switches: Object.keys(model.options).map((name) => {
            const choices = choicesOf(model, name);
            return {
              name: settingName(name),
              positions: choices.map((c) => choiceName(name, c)),
              set: choices.indexOf(read.choice(name))
            };
          }),
          knobs:
            'gain' in model.params
              ? [{ name: says.gain, value: `${formatNumber(read.value('gain'), 0, true)}\u202FdB` }]
              : []
        }
      ];
    })
  );
}

export const boxesSheet = (input: PaperInput): Sheet => ({
  id: 'boxes',
  title: says.boxesAndHowTheyAreSet,
  note: says.polarityNormalAndSwitchesAsThey,
  columns: [
    { head: says.ch, wide: 6, align: 'right' },
    { head: says.line, wide: 22 },
    { head: says.box, wide: 26 },
    { head: says.setTo, wide: 46 }
  ],
  groups: grouped(
    cardsOf(input),
    (c) => c.place,
    (c) => ({
      key: c.device,
      line: c.line,
      cells: [c.tag, c.name, c.model, settingsText(input.plan.devices[c.device]) || says.asItComes]
    })
  )
});

export function phantomSheet({ plan, reports }: PaperInput): Sheet {
  const rows = linesOf(plan).filter(({ line }) => givesPhantom(plan.devices[line.id].model));
  const mA = (ampere: number): string => `${formatNumber(ampere * 1000, 1)}\u202FmA`;
  const group = (g: Group): Group => {
    const host = Object.values(plan.hosts).find((h) => h.name === g.name);
    const sum = g.rows.reduce((total, r) => total + (reports.get(r.key)?.phantomAmpere ?? 0), 0);
    const most = host?.phantomMost;
    return { ...g, name: `${g.name}: ${mA(sum)}${most === undefined ? says.inAll2 : ` of ${mA(most)}`}` };
  };
  return {
    id: 'phantom',
    title: says.phantom,
    note: says.switchedOnlyWithTheChannelMuted,
    columns: [
      { head: says.ch, wide: 8, align: 'right' },
      { head: says.line, wide: 26 },
      { head: '48 V', wide: 10 },
      { head: says.for, wide: 36 },
      { head: says.draws, wide: 20, align: 'right' }
    ],
    groups: grouped(
      rows,
      ({ line }) => hostOf(plan, line),
      ({ line, tag }) => {
        const on = plan.devices[line.id].settings.phantom === 'on';
        const fed = line.devices
          .filter((id) => wantsPhantom(plan.devices[id]))
          .map((id) => modelShort(plan.devices[id].model));
        const drawn = reports.get(line.id)?.phantomAmpere ?? 0;
        return {
          key: line.id,
          line: line.id,
          cells: [tag, nameOf(line), on ? 'on' : 'off', fed.join(', '), on ? mA(drawn) : '']
        };
      }
    ).map(group)
  };
}
