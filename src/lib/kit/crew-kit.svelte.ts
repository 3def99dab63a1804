import { allWellFormed } from '$core/text/well-formed';
import { kit as says } from '$core/words/screen/kit';
import type { Kit } from '$core/kit/schema';
import { same } from '$core/plan/json';
import { CatchingUp } from '$lib/live/catching-up';
import type { Feed } from '$lib/live/feed';
import { Lane, type LaneState } from '$lib/outbox/lane.svelte';
import { type Outcome, outcomeOf, request } from '$lib/outbox/outcome';
import type { RowStore } from '$lib/outbox/rows';
import { CREW_HEADER, type KitChange, KitChangesSchema } from '$lib/protocol/kit';
import { uuid } from '$lib/uuid';
import * as z from '$core/text/zod';
import { backwards, withChanges } from './changes';

const StepSchema = z.strictObject({ id: z.uuid(), changes: KitChangesSchema.shape.changes });
type Step = z.infer<typeof StepSchema>;
const TAKEN = says.somebodyElseChangedTheSameThings;

/** The crew's kit on screen: changes show at once, are sent in order, and can be taken back. */
export class CrewKit {
  kit = $state.raw<Kit>({});
  undoable = $state(0);
  redoable = $state(0);
  #undo: KitChange[][] = [];
  #redo: KitChange[][] = [];
  /** As the server has it. */
  #ground: Kit;
  readonly #lane: Lane<Step>;
  readonly #catching = new CatchingUp(() => this.#fetch());

  constructor(
    kit: Kit,
    readonly crewId: string,
    rows: RowStore
  ) {
    this.kit = this.#ground = kit;
    this.#lane = new Lane<Step>({
      name: `kit:${crewId}`,
      rows,
      idOf: ({ id }) => id,
      most: 1,
      read: (raw) => StepSchema.safeParse(allWellFormed(raw)).data ?? null,
      send: ([step]) => this.#push(step)
    });
  }
  get save(): LaneState {
    return this.#lane.state;
  }
  /** Changes that no longer fit what others made of the kit, waiting for a decision. */
  get aside() {
    return this.#lane.aside;
  }

  async open(feed?: Feed): Promise<void> {
    for (const step of await this.#lane.earlier()) {
      if (!fits(this.kit, step.changes)) this.#lane.keepAside(step, TAKEN);
      else {
        this.kit = withChanges(this.kit, step.changes);
        void this.#lane.add(step);
      }
    }
    this.#lane.open();
    if (feed) this.#catching.follow(feed, 'kit', () => true);
  }
  close(): void {
    this.#lane.close();
    this.#catching.close();
  }

  do(changes: readonly KitChange[]): void {
    if (changes.length === 0) return;
    this.#undo.push([...changes]);
    this.#redo = [];
    this.#put(changes);
  }
  undo(): boolean {
    const last = this.#undo.pop();
    if (!last) return false;
    this.#redo.push(last);
    return this.#try(backwards(last));
  }
  redo(): boolean {
    const last = this.#redo.pop();
    if (!last) return false;
    this.#undo.push(last);
    return this.#try(last);
  }
  /** Makes a change that did not fit on top of what is there now, or lets it go. */
  decide(index: number, mine: boolean): void {
    const { item } = this.aside[index];
    this.#lane.letGo(item);
    if (mine) this.do(item.changes.map((c) => ({ ...c, from: this.kit[c.id] ?? null })).filter((c) => !even(c)));
  }

  /** One's own step back, where nobody has changed the same since. */
  #try(changes: readonly KitChange[]): boolean {
    const can = fits(this.kit, changes);
    if (can) this.#put(changes);
    else {
      this.#undo = [];
      this.#redo = [];
      this.#count();
    }
    return can;
  }
  #put(changes: readonly KitChange[]): void {
    const clean = allWellFormed([...changes]);
    this.kit = withChanges(this.kit, clean);
    this.#count();
    void this.#lane.add({ id: uuid(), changes: clean });
  }
  #count(): void {
    this.undoable = this.#undo.length;
    this.redoable = this.#redo.length;
  }

  /** Of this crew, whichever has been chosen in another tab meanwhile. */
  #ask(method: 'GET' | 'POST', body: string | undefined): Promise<Response | null> {
    return request(method, '/api/kit', body, undefined, { [CREW_HEADER]: this.crewId });
  }
  async #push(step: Step): Promise<Outcome> {
    const answer = await this.#ask('POST', JSON.stringify({ changes: step.changes }));
    if (answer?.ok) {
      this.#ground = withChanges(this.#ground, step.changes);
      return { kind: 'taken', ids: [step.id] };
    }
    const outcome = answer?.status === 409 ? null : await outcomeOf(answer, [step.id]);
    if (outcome && outcome.kind !== 'refused') return outcome;
    this.#lane.setAside(step.id, outcome?.why ?? TAKEN);
    this.#stand(outcome ? this.#ground : ((await answer!.json()) as { kit: Kit }).kit);
    return { kind: 'taken', ids: [] };
  }
  async #fetch(): Promise<void> {
    // While something is on its way the kit may be before or after it; its answer asks again.
    const answer = await this.#ask('GET', undefined);
    if (answer?.ok && this.#lane.waiting.length === 0) this.#stand(((await answer.json()) as { kit: Kit }).kit);
  }
  /** What the server has, with what is on its way on top; what no longer fits waits for a decision. */
  #stand(kit: Kit): void {
    this.#ground = kit;
    let next = kit;
    for (const step of this.#lane.waiting) {
      if (fits(next, step.changes)) next = withChanges(next, step.changes);
      else this.#lane.setAside(step.id, TAKEN);
    }
    this.kit = next;
  }
}

/** Nothing is changed by it, and nothing was said. */
const even = ({ from, to, said }: KitChange): boolean => said === undefined && same(from as never, to as never);
const fits = (kit: Kit, changes: readonly KitChange[]): boolean =>
  changes.every(({ id, from }) => same((kit[id] ?? null) as never, from as never));
