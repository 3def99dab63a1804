<script lang="ts">
  import type { Line } from '$core/plan/lines';
  import { check as says } from '$core/words/screen/check';
  import { useShow } from '$lib/show/session/context';
  import { lineName } from '$lib/show/session/edits';

  interface Props {
    lines: readonly Line[];
    /** Place of the line among them. */
    at: number;
    /** The line that comes after this one is done. */
    next: Line | undefined;
    onleave: (to: Line | undefined) => void;
    onfinish: () => void;
  }
  /** Back, skip, done: under the thumb. */
  const { lines, at, next, onleave, onfinish }: Props = $props();
  const show = useShow();
</script>

<div class="fixed inset-x-0 bottom-0 border-t border-base-300 bg-base-100">
  <div class="mx-auto flex max-w-[560px] gap-2 px-4 py-3">
    <button
      type="button"
      class="btn min-h-14"
      disabled={at <= 0}
      aria-label={says.theLineBefore}
      onclick={() => onleave(lines[at - 1])}>‹</button
    >
    <button type="button" class="btn min-h-14" onclick={() => onleave(lines[at + 1] ?? lines[0])}>{says.skip}</button>
    <button
      type="button"
      class="btn min-h-14 min-w-0 flex-1 flex-col gap-0 btn-primary"
      disabled={!show.mayChange}
      onclick={() => onfinish()}
      ><span>{says.done}</span><span class="max-w-full truncate text-[0.86em] font-normal"
        >{next ? `next: ${lineName(next)}` : says.thatWasAll}</span
      ></button
    >
  </div>
</div>
