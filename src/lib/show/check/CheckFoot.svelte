<script lang="ts">
  import type { Line } from '$core/plan/lines';
  import type { LineOutcome } from '$core/linecheck/outcome';
  import { check as says } from '$core/words/screen/check';
  import { useShow } from '$lib/show/session/context';
  import { lineName } from '$lib/show/session/edits';

  interface Props {
    lines: readonly Line[];
    /** Place of the line among them. */
    at: number;
    /** The line that comes after this one is done. */
    next: Line | undefined;
    /** Nothing has been read of it. */
    unread: boolean;
    noted: boolean;
    onleave: (to: Line | undefined) => void;
    onfinish: (outcome: LineOutcome) => void;
    onfaulty: () => void;
  }
  /** Back and skip; how the line was left: under the thumb. */
  const { lines, at, next, unread, noted, onleave, onfinish, onfaulty }: Props = $props();
  const show = useShow();
</script>

<div class="fixed inset-x-0 bottom-0 border-t border-base-300 bg-base-100">
  <div class="mx-auto grid max-w-[560px] gap-2 px-4 py-2.5">
    <div class="flex gap-2">
      <button
        type="button"
        class="btn min-h-11 px-3"
        disabled={at <= 0}
        aria-label={says.theLineBefore}
        onclick={() => onleave(lines[at - 1])}>‹</button
      >
      <button type="button" class="btn min-h-11 flex-1 px-2" onclick={() => onleave(lines[at + 1] ?? lines[0])}
        >{says.skip}</button
      >
      <button
        type="button"
        class="btn min-h-11 flex-1 px-2 whitespace-nowrap"
        disabled={!show.mayChange}
        onclick={() => onfinish({ is: 'later' })}>{says.comeBack}</button
      >
      <button type="button" class="btn min-h-11 flex-1 px-2" disabled={!show.mayChange} onclick={onfaulty}
        >{says.faulty}</button
      >
    </div>
    <button
      type="button"
      class="btn min-h-14 min-w-0 flex-col gap-0 btn-primary {unread ? 'btn-outline' : ''}"
      disabled={!show.mayChange}
      onclick={() => onfinish({ is: 'works' })}
      ><span>{noted ? says.worksWithANote : says.works}{unread ? ` · ${says.nothingReadYet}` : ''}</span><span
        class="max-w-full truncate text-[0.86em] font-normal"
        >{next ? says.nextLine(lineName(next)) : says.thatWasAll}</span
      ></button
    >
  </div>
</div>
