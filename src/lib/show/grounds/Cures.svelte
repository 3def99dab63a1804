<script lang="ts">
  import { goto } from '$app/navigation';
  import { listen as listenSays } from '$core/words/screen/listen';
  import { handOver } from '$lib/show/listen/handed';
  import type { Cure } from '$core/trace/cures';
  import type { EarthRing } from '$core/trace/map';
  import { grounds as says } from '$core/words/screen/grounds';
  import { formatNumber } from '$core/units/format';
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
  const worst = $derived(ring.worst?.line ?? ring.lines[0]);
  /** So many are heard beside the plan as it is. */
  const MOST_HEARD = 3;
  const hear = (some: readonly Cure[]): Promise<void> =>
    goto(
      handOver(
        show.id,
        worst,
        some
          .slice(0, MOST_HEARD)
          .map((c) => ({ name: listenSays.cureHeard(textOf(c), formatNumber(c.after)), ops: [...c.ops] }))
      )
    );
  /** More lines than these are counted. */
  const MOST_TOLD = 3;
  const textOf = (cure: Cure): string =>
    cure.lines.length > 0 ? says.onLines(cureText(cure.what), cure.lines.map(nameOf).join(', ')) : cureText(cure.what);
  /** By what it takes; in each, and by its key, in the order of what it brings. */
  const groups = $derived.by(() => {
    const all = (Array.isArray(cures) ? (cures as readonly Cure[]) : []).map((cure, k) => ({ cure, k }));
    const [hands, boxes] = [all.filter((c) => c.cure.cost === 0), all.filter((c) => c.cure.cost > 0)];
    if (hands.length === 0 || boxes.length === 0) return all.length > 0 ? [{ title: '', list: all }] : [];
    const both = [
      { title: says.byHandAlone, list: hands },
      { title: says.withABoxToGet, list: boxes }
    ];
    // The group with the best of all comes first.
    return hands[0].k === 0 ? both : both.reverse();
  });
</script>

<section aria-label={says.cures}>
  <div class="flex items-baseline justify-between gap-3 border-b border-base-300 pb-1">
    <h2 class="heading">{says.whatWouldQuieten(nameOf(worst))}</h2>
    <span class="flex gap-3 text-[0.93em] text-quiet">
      {#if Array.isArray(cures) && cures.length > 0}
        <button type="button" class="underline" onclick={() => void hear(cures as readonly Cure[])}
          >{listenSays.hearThem}</button
        >
      {/if}
      <a class="underline" href="/show/{show.id}?line={worst}">{says.onTheBoard}</a>
    </span>
  </div>
  {#if cures === null}
    <p class="py-2 text-quiet" aria-live="polite">{says.tryingCuresOnTheWholeRig}</p>
  {:else if cures instanceof Failed}
    <NotComputed failed={cures} what={says.cures} />
  {:else}
    {#each groups as { title, list } (title)}
      {#if title}<h3 class="pt-2 text-[0.93em] font-semibold text-quiet">{title}</h3>{/if}
      <ol>
        {#each list as { cure, k } (JSON.stringify(cure.ops))}
          <li class="border-b border-base-300" data-cure={cure.lines.length > 0 ? 'all' : 'one'}>
            <button
              type="button"
              class="grid min-h-11 w-full grid-cols-[26px_1fr_auto] items-center gap-x-2 py-1.5 text-left hover:bg-base-200"
              aria-label={says.cureTold(says.applyCure(k + 1, textOf(cure)), below(cure.before), below(cure.after))}
              onclick={() => onapply(cure)}
            >
              <kbd class="key">{k + 1}</kbd>
              <span class="leading-snug"
                >{textOf(cure)}
                <span class="block text-[0.93em] text-quiet"
                  >{says.theMix(
                    below(cure.mixBefore),
                    below(cure.mixAfter)
                  )}{#if cure.better.length > 0}{says.alsoQuietens(
                      cure.better
                        .slice(0, MOST_TOLD)
                        .map((b) => says.byDb(nameOf(b.line), formatNumber(b.humDb)))
                        .join(', '),
                      cure.better.length - MOST_TOLD
                    )}{/if}{#if cure.worse.length > 0}, <span class="text-warning"
                      >{says.disturbs(cure.worse.map((w) => nameOf(w.line)).join(', '))}</span
                    >{/if}</span
                ></span
              >
              <span class="num text-right whitespace-nowrap">{below(cure.before)} → {below(cure.after)}</span>
            </button>
          </li>
        {/each}
      </ol>
    {:else}
      <p class="py-2 text-quiet">{says.nothingTriedHereQuietensItBy}</p>
    {/each}
  {/if}
</section>
