<script lang="ts">
  import { trace as says } from '$core/words/screen/trace';
  import type { Suspect } from '$core/trace/view';
  import { toast } from 'svelte-sonner';
  import { play, PLAYED_AT as RATE } from '$lib/show/analyse/play';
  import { formatNumber } from '$core/units/format';

  interface Props {
    /** Where what may be wrong with the line is heard. */
    listen: string;
    suspects: readonly Suspect[];
    name: (s: Suspect) => string;
    /** What a suspect sounds like on this line, as samples; null where nobody can say. */
    noise: (id: string, rate: number) => Promise<Float32Array | null>;
  }
  /** What it may be, as far as is known. */
  const { listen, suspects, name, noise }: Props = $props();
  const SHOWN = 5;
  /** What may sound like anything is not played. */
  const heard = ({ code }: Suspect): boolean => code !== 'none';

  async function hear({ id }: Suspect): Promise<void> {
    const samples = await noise(id, RATE);
    if (samples && !(await play(() => samples, RATE))) toast.error(says.noSoundCanBePlayedHere);
  }
</script>

<section aria-label={says.whatItMayBe}>
  <h2 class="heading">{says.whatItMayBe}</h2>
  <ul>
    {#each suspects.slice(0, SHOWN) as s (s.id)}
      <li class="border-b border-base-300 py-1.5" data-suspect={s.id}>
        <span class="flex items-baseline justify-between gap-3 leading-snug"
          ><span>{name(s)}</span><span class="flex items-center gap-3 whitespace-nowrap"
            >{#if heard(s)}<button
                type="button"
                class="link text-[0.93em]"
                aria-label={says.hear(name(s))}
                onclick={() => void hear(s)}>{says.hear2}</button
              >{/if}<span class="num text-quiet">{formatNumber(s.share * 100)} %</span></span
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
