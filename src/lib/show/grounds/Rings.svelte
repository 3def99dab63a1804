<script lang="ts">
  import type { EarthRing } from '$core/trace/map';
  import { formatQuantity } from '$core/units/format';
  import { grounds as says } from '$core/words/screen/grounds';
  import Mark from '$lib/ui/Mark.svelte';
  import { SEVERITY_TEXT } from '$lib/ui/marks';
  import { below } from './ground-view';

  interface Props {
    rings: readonly EarthRing[];
    chosen: string | null;
    nameOf: (id: string) => string;
    onpick: (key: string) => void;
  }
  /** The ground loops of a rig, the worst at an input first. */
  const { rings, chosen, nameOf, onpick }: Props = $props();
</script>

<section aria-label={says.rings}>
  <h2 class="heading border-b border-base-300 pb-1">{says.ringsWorstAtAnInputFirst}</h2>
  <ul>
    {#each rings as r (r.key)}
      <li>
        <button
          type="button"
          class="grid min-h-11 w-full grid-cols-[22px_1fr_auto_auto] items-center gap-x-2 border-b border-base-300 py-1 text-left hover:bg-base-200 {r.key ===
          chosen
            ? 'bg-base-200'
            : ''}"
          aria-pressed={r.key === chosen}
          data-ring={r.severity}
          onclick={() => onpick(r.key)}
        >
          <Mark severity={r.severity} />
          <span class="truncate {r.key === chosen ? 'font-semibold' : ''}"
            >{nameOf(r.lines[0])}{r.lines.length > 1 ? says.andMore(r.lines.length - 1) : ''}</span
          >
          <span class="num text-quiet">{formatQuantity('current', r.ampere, 2)}</span>
          <span class="num w-14 text-right {SEVERITY_TEXT[r.severity]}">{r.worst ? below(r.worst.below) : ''}</span>
        </button>
      </li>
    {:else}
      <li class="py-2 text-quiet">{says.everyShieldIsADeadEnd}</li>
    {/each}
  </ul>
  {#if rings.length > 0}<p class="pt-1 text-[0.93em] text-quiet">
      {says.currentAndHumUnderThePlaying}
    </p>{/if}
</section>
