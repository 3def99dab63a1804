<script lang="ts">
  import type { Cure } from '$core/trace/cures';
  import type { EarthRing } from '$core/trace/map';
  import { grounds as says } from '$core/words/screen/grounds';
  import { cureText } from '$core/words/trace';
  import { useShow } from '$lib/show/session/context';
  import { type Computed, Failed } from '$lib/show/session/failed';
  import NotComputed from '$lib/ui/NotComputed.svelte';
  import { below } from './ground-view';

  interface Props {
    ring: EarthRing;
    cures: Computed<readonly Cure[]>;
    nameOf: (id: string) => string;
    onapply: (cure: Cure) => void;
  }
  /** What would quieten a ground loop, by what it brings at the mix. */
  const { ring, cures, nameOf, onapply }: Props = $props();
  const show = useShow();
</script>

<section aria-label={says.cures}>
  <div class="flex items-baseline justify-between gap-3 border-b border-base-300 pb-1">
    <h2 class="heading">{says.whatWouldQuieten(nameOf(ring.worst?.line ?? ring.lines[0]))}</h2>
    <a class="text-[0.93em] text-quiet underline" href="/show/{show.id}?line={ring.worst?.line ?? ring.lines[0]}"
      >{says.onTheBoard}</a
    >
  </div>
  {#if cures === null}
    <p class="py-2 text-quiet" aria-live="polite">{says.tryingCuresOnTheWholeRig}</p>
  {:else if cures instanceof Failed}
    <NotComputed failed={cures} what={says.cures} />
  {:else}
    <ol>
      {#each cures as cure, k (JSON.stringify(cure.ops))}
        <li class="border-b border-base-300">
          <button
            type="button"
            class="grid min-h-11 w-full grid-cols-[26px_1fr_auto] items-center gap-x-2 py-1.5 text-left hover:bg-base-200"
            aria-label={says.applyCure(k + 1, cureText(cure.what))}
            onclick={() => onapply(cure)}
          >
            <kbd class="key">{k + 1}</kbd>
            <span class="leading-snug"
              >{cureText(cure.what)}
              <span class="block text-[0.93em] text-quiet"
                >{says.theMix(
                  below(cure.mixBefore),
                  below(cure.mixAfter),
                  cure.cost > 0 ? says.costsABox : says.onlyHands
                )}{#if cure.worse.length > 0}, <span class="text-warning"
                    >{says.disturbs(cure.worse.map((w) => nameOf(w.line)).join(', '))}</span
                  >{/if}</span
              ></span
            >
            <span class="num text-right whitespace-nowrap">{below(cure.before)} → {below(cure.after)}</span>
          </button>
        </li>
      {:else}
        <li class="py-2 text-quiet">
          {says.nothingTriedHereQuietensItBy}
        </li>
      {/each}
    </ol>
  {/if}
</section>
