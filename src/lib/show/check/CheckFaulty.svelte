<script lang="ts">
  import type { Line } from '$core/plan/lines';
  import { partText } from '$core/words/check';
  import { check as says } from '$core/words/screen/check';
  import { useShow } from '$lib/show/session/context';

  interface Props {
    line: Line;
    /** @param part id of a device or cable; undefined while nobody knows */
    onfault: (part: string | undefined) => void;
    oncancel: () => void;
  }
  /** Which part of a line is faulty. */
  const { line, onfault, oncancel }: Props = $props();
  const show = useShow();
  /** As the signal meets them. */
  const parts = $derived(line.devices.flatMap((id, k) => [id, ...(line.cables[k] ? [line.cables[k]] : [])]));
  let first = $state<HTMLButtonElement>();
  let whole = $state<HTMLElement>();
  $effect(() => {
    first?.focus();
    whole?.scrollIntoView({ block: 'start' });
  });
</script>

<section
  class="mt-3 scroll-mt-28 rounded-[9px] border-2 border-error px-3 py-3 first-letter:uppercase"
  aria-labelledby="faulty"
  data-faulty
  bind:this={whole}
>
  <h3 class="font-semibold" id="faulty">{says.whatIsFaulty}</h3>
  <div class="grid gap-2 pt-2">
    {#each parts as id, k (id)}
      {#if k === 0}
        <button
          type="button"
          class="btn h-auto min-h-12 justify-start py-1.5 text-left"
          bind:this={first}
          onclick={() => onfault(id)}>{partText(show.session.plan, line, id)}</button
        >
      {:else}
        <button type="button" class="btn h-auto min-h-12 justify-start py-1.5 text-left" onclick={() => onfault(id)}
          >{partText(show.session.plan, line, id)}</button
        >
      {/if}
    {/each}
    <button type="button" class="btn min-h-12 justify-start" onclick={() => onfault(undefined)}
      >{says.notKnownYet}</button
    >
    <button type="button" class="btn min-h-12 btn-ghost" onclick={oncancel}>{says.cancel}</button>
  </div>
</section>
