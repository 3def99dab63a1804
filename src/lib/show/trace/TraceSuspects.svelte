<script lang="ts">
  import { trace as says } from '$core/words/screen/trace';
  import type { Suspect } from '$core/trace/view';
  import { formatNumber } from '$core/units/format';

  interface Props {
    /** Where what may be wrong with the line is heard. */
    listen: string;
    suspects: readonly Suspect[];
    name: (s: Suspect) => string;
  }
  /** What it may be, as far as is known. */
  const { listen, suspects, name }: Props = $props();
  const SHOWN = 5;
</script>

<section aria-label={says.whatItMayBe}>
  <h2 class="heading">{says.whatItMayBe}</h2>
  <ul>
    {#each suspects.slice(0, SHOWN) as s (s.id)}
      <li class="border-b border-base-300 py-1.5" data-suspect={s.id}>
        <span class="flex items-baseline justify-between gap-3 leading-snug"
          ><span>{name(s)}</span><span class="num whitespace-nowrap text-quiet">{formatNumber(s.share * 100)} %</span
          ></span
        >
        <span class="mt-1 block h-1.5 rounded-full bg-base-200" aria-hidden="true"
          ><span class="block h-full rounded-full bg-primary" style:width="{s.share * 100}%"></span></span
        >
      </li>
    {/each}
  </ul>
  <p class="pt-1 text-[0.93em]"><a class="link" href={listen}>{says.hearSuspects}</a></p>
  {#if suspects.length > SHOWN}<p class="pt-1 text-[0.93em] text-quiet">
      {says.andLessLikely(suspects.length - SHOWN)}
    </p>{/if}
</section>
