<script lang="ts">
  interface Props {
    expected: { readonly usual: number; readonly from: number; readonly to: number };
    /** What was read, dB; null before that. */
    read: number | null;
  }
  /** Where the gain is expected, and where it was read. The words beside it say the same. */
  const { expected, read }: Props = $props();

  const MARGIN = 14;
  const low = $derived(Math.min(expected.from, read ?? expected.from) - MARGIN);
  const high = $derived(Math.max(expected.to, read ?? expected.to) + MARGIN);
  const at = (db: number): string => `${((db - low) / (high - low)) * 100}%`;
  const inside = $derived(read !== null && read >= expected.from - 2 && read <= expected.to + 2);
</script>

<div class="relative mt-1 h-4" aria-hidden="true">
  <span class="absolute inset-x-0 top-1/2 h-px bg-base-300"></span>
  <span
    class="absolute top-1 h-2 rounded-full bg-primary/35"
    style:left={at(expected.from)}
    style:width="calc({at(expected.to)} - {at(expected.from)})"
  ></span>
  <span class="absolute top-0.5 h-3 w-px bg-primary" style:left={at(expected.usual)}></span>
  {#if read !== null}
    <span
      class="absolute top-0 size-4 -translate-x-1/2 rounded-full border-2 border-base-100 {inside
        ? 'bg-primary'
        : 'bg-warning'}"
      style:left={at(read)}
    ></span>
  {/if}
</div>
