<script lang="ts">
  import { players as says } from '$core/words/screen/players';
  import type { KnownInstrument } from '$core/players/named';

  /** Instruments, each with its line as it is typed and what is wanted for it. */
  const { instruments }: { instruments: readonly KnownInstrument[] } = $props();
</script>

<ul>
  {#each instruments as { id, instrument } (id)}
    <li class="border-b border-base-300 py-2 leading-snug">
      <a class="link font-semibold" href="/memory/players/{id}">{instrument.name}</a>
      <span class="[overflow-wrap:anywhere]">{instrument.line}</span>
      {#if instrument.wants}<span class="block text-quiet">{says.wanted} {instrument.wants}</span>{/if}
    </li>
  {:else}<li class="py-1 text-quiet">{says.noInstrument}</li>
  {/each}
</ul>
