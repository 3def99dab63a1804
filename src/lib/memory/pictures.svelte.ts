import { serverNow } from '$lib/live/clock';
import { CatchingUp } from '$lib/live/catching-up';
import type { Feed } from '$lib/live/feed';
import { Lane } from '$lib/outbox/lane.svelte';
import { type Outcome, outcomeOf, request } from '$lib/outbox/outcome';
import type { RowStore } from '$lib/outbox/rows';
import { CREW_HEADER } from '$lib/protocol/kit';
import {
  type PictureAsk,
  PICTURES_TOLD,
  type PictureStep,
  PictureStepSchema,
  type PictureThere
} from '$lib/protocol/pictures';
import { bytesOf } from '$lib/ui/shrink';
import { uuid } from '$lib/uuid';

/** Pictures of one thing that the crew knows: seen at once, kept in the browser and sent when the network is there. */
export class Pictures {
  #there = $state.raw<readonly PictureThere[]>([]);
  readonly lane: Lane<PictureStep>;
  readonly #catching = new CatchingUp(() => this.#fetch());

  constructor(
    readonly crewId: string,
    readonly about: PictureAsk,
    rows: RowStore,
    there: readonly PictureThere[]
  ) {
    this.#there = there;
    this.lane = new Lane<PictureStep>({
      name: `pictures:${crewId}`,
      rows,
      idOf: ({ step }) => step,
      most: 1,
      read: (raw) => PictureStepSchema.safeParse(raw).data ?? null,
      send: ([step]) => this.#send(step)
    });
  }

  /** Newest first, each with where to see it. */
  readonly list = $derived.by((): readonly (PictureThere & { readonly source: string })[] => {
    const mine = this.lane.waiting.filter((s) => s.about.of === this.about.of && s.about.id === this.about.id);
    const dropped = new Set(mine.filter((s) => s.kind === 'drop').map((s) => s.id));
    const there = new Set(this.#there.map((p) => p.id));
    const fresh = mine.flatMap((s) =>
      s.kind === 'put' && !there.has(s.id) ? [{ id: s.id, at: s.at, source: s.data }] : []
    );
    return [...fresh.reverse(), ...this.#there.map((p) => ({ ...p, source: `/api/pictures/${p.id}` }))].filter(
      (p) => !dropped.has(p.id)
    );
  });

  async open(feed: Feed): Promise<void> {
    this.#catching.follow(feed, PICTURES_TOLD[this.about.of], () => true);
    await this.lane.resume();
  }
  close(): void {
    this.lane.close();
    this.#catching.close();
  }

  /** @param data JPEG as a data URL */
  add(data: string): Promise<void> {
    const at = new Date(serverNow()).toISOString();
    return this.lane.add({ kind: 'put', step: uuid(), id: uuid(), about: this.about, at, data });
  }
  drop(id: string): Promise<void> {
    return this.lane.add({ kind: 'drop', step: uuid(), id, about: this.about });
  }

  async #send(step: PictureStep): Promise<Outcome> {
    const path = `/api/pictures/${step.id}`;
    const crew = { [CREW_HEADER]: this.crewId };
    const answer =
      step.kind === 'drop'
        ? await request('DELETE', path, undefined, undefined, crew)
        : await request('PUT', `${path}?${new URLSearchParams(step.about)}`, bytesOf(step.data), 'image/jpeg', crew);
    // Before it leaves the outbox it is in the list of the server: nothing blinks.
    if (answer?.ok) await this.#fetch();
    // What somebody else has taken out is out.
    if (step.kind === 'drop' && answer?.status === 404) return { kind: 'taken', ids: [step.step] };
    return outcomeOf(answer, [step.step]);
  }
  async #fetch(): Promise<void> {
    const answer = await request('GET', `/api/pictures?${new URLSearchParams(this.about)}`, undefined);
    if (answer?.ok) this.#there = ((await answer.json()) as { pictures: PictureThere[] }).pictures;
  }
}
