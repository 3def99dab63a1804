import { allWellFormed } from '$core/text/well-formed';
import { same } from '$core/plan/json';
import { CatchingUp } from '$lib/live/catching-up';
import type { Feed } from '$lib/live/feed';
import { Lane } from '$lib/outbox/lane.svelte';
import { outcomeOf, request } from '$lib/outbox/outcome';
import type { RowStore } from '$lib/outbox/rows';
import { CREW_HEADER } from '$lib/protocol/kit';
import {
  type Instrument,
  InstrumentChangeSchema,
  type Player,
  PlayerChangeSchema,
  type Players
} from '$lib/protocol/players';
import { uuid } from '$lib/uuid';
import * as z from '$core/text/zod';

const StepSchema = z.discriminatedUnion('kind', [
  z.strictObject({ step: z.uuid(), kind: z.literal('instrument'), id: z.uuid(), change: InstrumentChangeSchema }),
  z.strictObject({ step: z.uuid(), kind: z.literal('player'), id: z.uuid(), change: PlayerChangeSchema })
]);
type Step = z.infer<typeof StepSchema>;

const byName = (a: string, b: string): number => a.localeCompare(b);

/** What a crew knows of who plays what: changes show at once, are kept in the browser and sent when the network is there. */
export class CrewPlayers {
  #there = $state.raw<Players>({ instruments: [], players: [] });
  /** It came with the page. */
  readonly #given: boolean;
  readonly lane: Lane<Step>;
  readonly #catching = new CatchingUp(() => this.#fetch());

  constructor(
    readonly crewId: string,
    rows: RowStore,
    there?: Players
  ) {
    if (there) this.#there = there;
    this.#given = there !== undefined;
    this.lane = new Lane<Step>({
      name: `players:${crewId}`,
      rows,
      idOf: ({ step }) => step,
      most: 1,
      read: (raw) => StepSchema.safeParse(allWellFormed(raw)).data ?? null,
      send: async ([{ step, kind, id, change }]) => {
        const answer = await this.#ask('PUT', `/api/${kind}s/${id}`, JSON.stringify(change));
        // What it was made from is no longer there: it waits for a decision, and what is there now is shown.
        if (answer?.ok || answer?.status === 409) await this.#fetch();
        return outcomeOf(answer, [step]);
      }
    });
  }

  /** As the server has it, with what is on its way on top. */
  readonly all = $derived.by((): Players => {
    const instruments = new Map(this.#there.instruments.map((i) => [i.id, i.instrument]));
    const players = new Map(this.#there.players.map((p) => [p.id, p.player]));
    for (const step of this.lane.waiting) {
      if (step.kind === 'instrument') put(instruments, step.id, step.change.to);
      else put(players, step.id, step.change.to);
    }
    return {
      instruments: [...instruments]
        .map(([id, instrument]) => ({ id, instrument }))
        .sort((a, b) => byName(a.instrument.name, b.instrument.name)),
      players: [...players].map(([id, player]) => ({ id, player })).sort((a, b) => byName(a.player.name, b.player.name))
    };
  });

  async open(feed: Feed): Promise<void> {
    this.#catching.follow(feed, 'players', () => true);
    await this.lane.resume();
    if (!this.#given) await this.#fetch();
  }
  close(): void {
    this.lane.close();
    this.#catching.close();
  }

  instrument(id: string): Instrument | null {
    return this.all.instruments.find((i) => i.id === id)?.instrument ?? null;
  }
  playerNamed(name: string): { readonly id: string; readonly player: Player } | null {
    return this.all.players.find(({ player }) => player.name === name) ?? null;
  }
  /** @returns its id; null takes it out */
  putInstrument(to: Instrument | null, id: string = uuid()): string {
    const from = this.instrument(id);
    if (!same(from as never, to as never))
      void this.lane.add({ step: uuid(), kind: 'instrument', id, change: { from, to } });
    return id;
  }
  putPlayer(to: Player | null, id: string = uuid()): string {
    const from = this.all.players.find((p) => p.id === id)?.player ?? null;
    if (!same(from as never, to as never))
      void this.lane.add({ step: uuid(), kind: 'player', id, change: { from, to } });
    return id;
  }

  #ask(method: string, path: string, body?: string): Promise<Response | null> {
    return request(method, path, body, undefined, { [CREW_HEADER]: this.crewId });
  }
  async #fetch(): Promise<void> {
    const answer = await this.#ask('GET', '/api/players');
    if (answer?.ok) this.#there = (await answer.json()) as Players;
  }
}

function put<T>(into: Map<string, T>, id: string, to: T | null): void {
  if (to === null) into.delete(id);
  else into.set(id, to);
}
