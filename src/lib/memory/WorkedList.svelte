<script lang="ts">
  import { players as says } from '$core/words/screen/players';
  import { gainText, setupText } from '$core/words/last-time';
  import { log as logSays } from '$core/words/screen/log';
  import { modelShort } from '$core/words/names';
  import type { WorkedBefore } from '$lib/protocol/log';
  import { dateTime } from '$lib/ui/when';

  /** Lines as they were left when they worked, newest first. */
  const { worked, named = true }: { worked: readonly WorkedBefore[]; named?: boolean } = $props();
</script>

<ul data-worked>
  {#each worked as one (one.id)}
    <li class="border-b border-base-300 py-2 leading-snug">
      <p class="[overflow-wrap:anywhere]">
        {#if named}<strong>{one.setup.name}</strong>
          <span class="text-quiet">{modelShort(one.setup.chain.devices[0].model)}:</span>
        {/if}
        {setupText(one.setup)}
      </p>
      <p class="text-[0.93em] text-quiet">
        <a class="link" href="/show/{one.show}?line={one.lineId}">{one.place}</a>, {dateTime(one.at)}{one.by
          ? `, ${one.by}`
          : ''}{one.setup.computed.gain === null
          ? ''
          : `, ${logSays.gainComputed(gainText(one.setup.computed.gain))}`}{#if one.photos > 0},
          <a class="link" href="/show/{one.show}/check?line={one.lineId}">{says.pictures(one.photos)}</a>{/if}
      </p>
    </li>
  {/each}
</ul>
