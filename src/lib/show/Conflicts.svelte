<script lang="ts">
  import { editText } from '$core/words/faults';
  import type { ShowSession } from './session.svelte';

  const { session }: { session: ShowSession } = $props();
</script>

{#if session.aside.length > 0}
  <section
    class="mx-5 mt-3 rounded-[9px] border border-warning bg-card px-4 py-2.5 max-sm:mx-3.5"
    aria-label="Changes that did not fit"
  >
    {#each session.aside as item, k (item.sent.edit.id)}
      <p class="flex flex-wrap items-center gap-x-3 gap-y-1 py-1">
        <span><strong>Not merged:</strong> {editText(item.sent.edit)}. {item.why}</span>
        <span class="ml-auto flex gap-2">
          <button type="button" class="btn btn-primary btn-sm" onclick={() => session.decide(k, true)}
            >Do it anyway</button
          >
          <button type="button" class="btn btn-sm" onclick={() => session.decide(k, false)}>Keep what is there</button>
        </span>
      </p>
    {/each}
  </section>
{/if}
