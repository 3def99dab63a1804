import { failOne } from '$core/advise/fail-one';
import type { Line } from '$core/plan/lines';
import type { Cable, Device } from '$core/plan/schema';
import { failedNote } from '$core/words/check';
import { check as says } from '$core/words/screen/check';
import { changesTo, freshId } from '$lib/kit/changes';
import { CrewKit } from '$lib/kit/crew-kit.svelte';
import type { Show } from '$lib/show/session/context';
import { lineName } from '$lib/show/session/edits';
import { toast } from 'svelte-sonner';

/** Units of the crew's kit that turn out to be faulty in the check. */
export class FailedUnits {
  readonly #kit: CrewKit;
  constructor(
    readonly show: Show,
    crewId: string
  ) {
    this.#kit = new CrewKit(show.crewKit, crewId, show.rows);
  }
  open(): void {
    if (this.show.mayChange) void this.#kit.open(this.show.feed);
  }
  close(): void {
    this.#kit.close();
  }

  /** Marks one unit for repair, where the kit has it; told, and taken back by one press. @param text what it is, in words */
  fail(what: Device | Cable, line: Line, text: string): void {
    const { kit } = this.#kit;
    const day = new Date().toLocaleDateString([], { day: 'numeric', month: 'short' });
    const next = failOne(kit, what, failedNote(this.show.name, lineName(line), day), freshId);
    if (!next) return;
    this.#kit.do(changesTo(kit, next));
    // Not over the buttons at the foot.
    const position = 'top-center' as const;
    toast(says.itIsInRepairNow(text), { position, action: { label: says.undo, onClick: () => void this.#kit.undo() } });
  }
}
