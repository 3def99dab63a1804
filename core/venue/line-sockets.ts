import { modelOf } from '../gear/catalogue';
import type { Line } from '../plan/lines';
import { resolve } from '../plan/resolved';
import type { Plan } from '../plan/schema';
import { nameKey } from '../text/names';
import { fromDbu, toDbu } from '../units/quantity';
import type { Venue, VenueBox, VenueSocket } from './schema';
import { distance } from './typed';

/** Which socket of a place each line of a show comes to, and how far it has to go there. */

export interface AtSocket {
  readonly line: Line;
  readonly box: VenueBox;
  readonly socket: number;
  /** What is wrong with that socket for this line; null where nothing is. */
  readonly wrong: VenueSocket['is'] | 'no-pad' | null;
}

/** The stage box that a line goes to: the only one, or the one where it stands. */
function boxOf(venue: Venue, line: Line): VenueBox | null {
  const boxes = venue.boxes ?? [];
  if (boxes.length === 1) return boxes[0];
  const place = nameKey(line.info?.place ?? '');
  const here =
    place === ''
      ? []
      : boxes.filter((b) => [nameKey(b.place), nameKey(b.name), nameKey(`box ${b.name}`)].includes(place));
  return here.length === 1 ? here[0] : null;
}

/** Lines that have a channel, and a socket of that number. */
export function socketsOf(plan: Plan, venue: Venue): AtSocket[] {
  return resolve(plan).lines.flatMap((line): AtSocket[] => {
    const socket = line.info?.channel;
    const box = boxOf(venue, line);
    if (!box || socket === undefined || socket > box.sockets) return [];
    const known = venue.sockets.find(
      (s) => s.socket === socket && (s.box.toUpperCase() === box.name.toUpperCase() || s.box === '')
    );
    const phantom = plan.devices[line.id].settings.phantom === 'on';
    const missing = phantom && (!box.phantom || known?.is === 'no-phantom');
    const broken = known && known.is !== 'note' && known.is !== 'no-phantom' ? known.is : null;
    const padless = box.pad === 0 && (plan.devices[line.id].settings.pad ?? 'off') !== 'off';
    return [{ line, box, socket, wrong: broken ?? (missing ? 'no-phantom' : padless ? 'no-pad' : null) }];
  });
}

export interface KnownRun {
  readonly line: Line;
  readonly cable: string;
  /** As it is planned, and as the place knows it, metres. */
  readonly planned: number;
  readonly known: number;
}
/** Two lengths are one within this, metres. */
const SAME = 0.05;

/** Last cables of lines that the place knows otherwise: the cable of its stage box, or a distance to the desk that somebody paced out. */
export function knownRuns(plan: Plan, venue: Venue): KnownRun[] {
  return resolve(plan).lines.flatMap((line): KnownRun[] => {
    const cable = line.cables.at(-1);
    if (cable === undefined) return [];
    const { kind, metres: planned } = plan.cables[cable];
    const place = line.info?.place ?? '';
    const known =
      kind === 'multicore'
        ? (boxOf(venue, line)?.metres ?? null)
        : line.cables.length > 1 && place !== ''
          ? (distance(venue, place, 'desk') ?? distance(venue, place, 'foh'))
          : null;
    return known === null || Math.abs(known - planned) < SAME ? [] : [{ line, cable, planned, known }];
  });
}

export interface KnownLevel {
  readonly line: Line;
  /** Volts RMS that the input takes at its least gain, as the place knows it. */
  readonly volts: number;
  /** As it is planned and as it is known, dBu. */
  readonly planned: number;
  readonly known: number;
}
/** Two levels are one within this, dB. */
const AS_LOUD = 0.05;

/** Inputs that take another level there than is planned: those that are sockets of a stage box of which somebody knows. */
export function knownLevels(plan: Plan, venue: Venue): KnownLevel[] {
  return socketsOf(plan, venue).flatMap(({ line, box }): KnownLevel[] => {
    const { model, settings } = plan.devices[line.id];
    const { ports, params } = modelOf(model);
    // A jack of the desk is no socket of a box.
    if (box.maxDbu === undefined || ports[0].socket !== 'xlr' || !params.clip) return [];
    const planned = toDbu(typeof settings.clip === 'number' ? settings.clip : params.clip.typ);
    if (Math.abs(planned - box.maxDbu) < AS_LOUD) return [];
    return [{ line, volts: fromDbu(box.maxDbu), planned, known: box.maxDbu }];
  });
}
