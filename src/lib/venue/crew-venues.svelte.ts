import { venue as says } from '$core/words/screen/venue';
import { same } from '$core/plan/json';
import { allWellFormed } from '$core/text/well-formed';
import { mergeVenues, withMine } from '$core/venue/merge';
import type { Venue } from '$core/venue/schema';
import { CatchingUp } from '$lib/live/catching-up';
import type { Feed } from '$lib/live/feed';
import { Lane } from '$lib/outbox/lane.svelte';
import { type Outcome, outcomeOf, request } from '$lib/outbox/outcome';
import type { RowStore } from '$lib/outbox/rows';
import { CREW_HEADER } from '$lib/protocol/kit';
import { type Places, type VenueOf, type VenueStep, VenueStepSchema } from '$lib/protocol/venues';
import { uuid } from '$lib/uuid';

type Change = Extract<VenueStep, { kind: 'venue' }>;
/** Where others change the same place all the time, so often is it merged anew before it waits. */
const TRIES = 5;

/** Places of a crew, and at which of them a show is: changes show at once, are kept in the browser and sent when the network is there. */
export class CrewVenues {
  #there = $state.raw<Places>({ here: null, other: null, venues: [] });
  readonly lane: Lane<VenueStep>;
  readonly #catching = new CatchingUp(() => this.#fetch());

  /** @param showId whose evening it is; null on a page that is of no show */
  constructor(
    readonly crewId: string,
    readonly showId: string | null,
    rows: RowStore,
    there: Places
  ) {
    this.#there = there;
    this.lane = new Lane<VenueStep>({
      name: `venues:${crewId}`,
      rows,
      idOf: ({ step }) => step,
      most: 1,
      read: (raw) => VenueStepSchema.safeParse(allWellFormed(raw)).data ?? null,
      send: ([step]) => (step.kind === 'venue' ? this.#sendVenue(step) : this.#sendPlay(step))
    });
  }

  /** As the server has them, with what is on its way on top. */
  readonly all = $derived.by((): readonly VenueOf[] => {
    const venues = new Map(this.#there.venues.map((v) => [v.id, v]));
    for (const step of this.lane.waiting) {
      if (step.kind !== 'venue') continue;
      const was = venues.get(step.id);
      const now = was && step.change.from ? withMine(step.change.from, step.change.to, was.venue) : step.change.to;
      venues.set(step.id, { id: step.id, venue: now, shows: was?.shows ?? 0 });
    }
    return [...venues.values()].sort((a, b) => a.venue.name.localeCompare(b.venue.name));
  });
  readonly #at = $derived.by((): { readonly here: string | null; readonly other: string | null } => {
    const mine = this.lane.waiting.findLast((s) => s.kind === 'play' && s.show === this.showId);
    return mine?.kind === 'play' ? { here: mine.venue, other: mine.other } : this.#there;
  });
  /** Where the show is tonight, and on its other night. */
  readonly here = $derived(this.of(this.#at.here));
  readonly other = $derived(this.of(this.#at.other));

  of(id: string | null): VenueOf | null {
    return this.all.find((v) => v.id === id) ?? null;
  }

  async open(feed: Feed): Promise<void> {
    this.#catching.follow(feed, 'venues', () => true);
    await this.lane.resume();
  }
  close(): void {
    this.lane.close();
    this.#catching.close();
  }

  /** Writes a place down, or changes it. */
  put(id: string, to: Venue): void {
    const from = this.of(id)?.venue ?? null;
    if (!same(from as never, to as never))
      void this.lane.add({ step: uuid(), kind: 'venue', id, change: { from, to } });
  }
  playAt(venue: string | null, other: string | null): void {
    if (this.showId !== null) void this.lane.add({ step: uuid(), kind: 'play', show: this.showId, venue, other });
  }
  /** One's own on top of what somebody else has said of the same. */
  keepMine(step: Change): void {
    this.lane.letGo(step);
    const now = this.of(step.id)?.venue;
    if (now && step.change.from) this.put(step.id, withMine(step.change.from, step.change.to, now));
  }

  async #sendVenue(step: Change): Promise<Outcome> {
    let { from, to } = step.change;
    for (let left = TRIES; ; left--) {
      const answer = await this.#ask('PUT', `/api/venues/${step.id}`, JSON.stringify({ from, to }));
      if (answer?.status !== 409 || left === 0) {
        if (answer?.ok) await this.#fetch();
        return outcomeOf(answer, [step.step]);
      }
      const { venue: now } = (await answer.json()) as { venue: Venue | null };
      const merged = now && from ? mergeVenues(from, to, now) : null;
      if (!now || !merged || merged.both.length > 0) {
        await this.#fetch();
        return { kind: 'refused', id: step.step, why: says.changedSince };
      }
      [from, to] = [now, merged.venue];
    }
  }
  async #sendPlay({ step, show, venue, other }: Extract<VenueStep, { kind: 'play' }>): Promise<Outcome> {
    const answer = await this.#ask('PUT', `/api/shows/${show}/venue`, JSON.stringify({ venue, other }));
    if (answer?.ok) await this.#fetch();
    return outcomeOf(answer, [step]);
  }
  #ask(method: string, path: string, body?: string): Promise<Response | null> {
    return request(method, path, body, undefined, { [CREW_HEADER]: this.crewId });
  }
  async #fetch(): Promise<void> {
    const answer = await this.#ask('GET', this.showId === null ? '/api/venues' : `/api/shows/${this.showId}/venue`);
    if (answer?.ok) this.#there = (await answer.json()) as Places;
  }
}
