import { failOne, fitting, fittingUnits } from '$core/advise/fail-one';
import { type KitItem, unitOf } from '$core/kit/schema';
import type { Line } from '$core/plan/lines';
import type { Cable, Device } from '$core/plan/schema';
import { failedNote } from '$core/words/check';
import { check as says } from '$core/words/screen/check';
import { changesTo, freshId } from '$lib/kit/changes';
import { CrewKit } from '$lib/kit/crew-kit.svelte';
import type { Show } from '$lib/show/session/context';
import { lineName } from '$lib/show/session/edits';
import { toast } from 'svelte-sonner';

/** Which one of several numbered things it was that failed. */
interface WhichOne {
  readonly units: readonly { readonly id: string; readonly item: KitItem }[];
  /** There are some without a number, too. */
  readonly others: boolean;
  /** @param id undefined: one without a number */
  readonly choose: (id: string | undefined) => void;
}

/** Things of the crew's kit that turn out to be faulty, in the check or by a trace. */
export class FailedUnits {
  readonly #kit: CrewKit;
  /** It is being asked which one it was; null while it is not. */
  which = $state.raw<WhichOne | null>(null);
  constructor(readonly show: Show) {
    this.#kit = new CrewKit(show.crewKit, show.crewId, show.rows);
  }
  open(): void {
    if (this.show.mayChange) void this.#kit.open(this.show.feed);
  }
  close(): void {
    this.#kit.close();
  }

  /**
   * One of them goes to repair, where the kit has it; where several have numbers it is asked which. Told, and taken back by one press.
   * @param text what it is, in words
   */
  fail(what: Device | Cable, line: Line, text: string): void {
    const fits = fitting(this.#kit.kit, what);
    const units = fittingUnits(this.#kit.kit, what);
    if (units.length === 0) return this.#mark(what, line, text, undefined);
    this.which = {
      units,
      others: units.length < fits.length,
      choose: (id) => {
        this.which = null;
        this.#mark(what, line, text, id);
      }
    };
  }

  #mark(what: Device | Cable, line: Line, text: string, which: string | undefined): void {
    const { kit } = this.#kit;
    const day = new Date().toLocaleDateString([], { day: 'numeric', month: 'short' });
    const note = failedNote(this.show.name, lineName(line), day);
    const failed = failOne(kit, what, note, freshId, which);
    if (!failed) return;
    this.#kit.do(
      changesTo(kit, failed.kit).map((change) =>
        change.id === failed.id ? { ...change, said: says.failedOn(lineName(line)), show: this.show.id } : change
      )
    );
    const label = unitOf(failed.kit[failed.id])?.label;
    // Not over the buttons at the foot.
    const position = 'top-center' as const;
    toast(says.itIsInRepairNow(label ? `${label}, ${text}` : text), {
      position,
      action: { label: says.undo, onClick: () => void this.#kit.undo() }
    });
  }
}
