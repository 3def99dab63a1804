<script lang="ts">
  import { paper as says } from '$core/words/screen/paper';
  import type { Card } from '$core/paper/patch';

  /** One drawn face for every box: its switches as slots, the position to set filled. */
  const { cards }: { cards: readonly Card[] } = $props();
</script>

<h2 class="text-[1.6em] font-bold">{says.boxesAndHowTheyAreSet}</h2>
{#if cards.length === 0}<p>{says.noBoxInThisShowHas}</p>{/if}
<ul class="grid grid-cols-2 gap-4 pt-3 max-sm:grid-cols-1">
  {#each cards as card (card.device)}
    <li class="break-inside-avoid rounded-[10px] border-2 border-black p-3">
      <p class="flex items-baseline gap-2">
        <span class="text-[1.5em] font-bold">{card.tag}</span><strong class="text-[1.15em]">{card.name}</strong>
      </p>
      <p class="pb-1">{card.model}</p>
      {#each card.switches as s (s.name)}
        <div class="grid grid-cols-[88px_1fr] items-center gap-2 py-[3px]">
          <span class="text-[0.93em]">{s.name}</span>
          <span class="flex" role="group" aria-label="{s.name}: {s.positions[s.set]}">
            {#each s.positions as position, k (position)}
              <span
                class="flex-1 border border-black px-1 text-center text-[0.86em] [&+span]:border-l-0 {k === s.set
                  ? 'bg-black font-bold text-white'
                  : ''}">{position}</span
              >
            {/each}
          </span>
        </div>
      {/each}
      {#each card.knobs as knob (knob.name)}
        <p class="grid grid-cols-[88px_1fr] gap-2 py-[3px]">
          <span class="text-[0.93em]">{knob.name}</span><strong>{knob.value}</strong>
        </p>
      {/each}
    </li>
  {/each}
</ul>
