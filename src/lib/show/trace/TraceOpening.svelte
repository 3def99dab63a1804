<script lang="ts">
  import { trace as says } from '$core/words/screen/trace';
  import type { Answer, Ask, Word } from '$core/trace/infer';
  import type { Sound } from '$core/trace/hypotheses';
  import type { TraceView } from '$core/trace/view';
  import { askText, wordText } from '$core/words/tracing';
  import { toast } from 'svelte-sonner';
  import { playExample } from '$lib/show/analyse/play';

  interface Props {
    told: TraceView['told'];
    answers: readonly Answer[];
    mainsHz: number;
    /** Null takes an answer back. */
    onsay: (ask: Ask, is: Word | null) => void;
    ongo: () => void;
  }
  /** What can be said of a noise before anything is tried, all on one screen; whatever nobody knows is left out. */
  const { told, answers, mainsHz, onsay, ongo }: Props = $props();

  const said = (ask: Ask): Word | undefined => answers.find((a) => a.ask === ask)?.is;

  async function hear(sound: Sound): Promise<void> {
    if (!(await playExample(sound, mainsHz))) toast.error(says.noSoundCanBePlayedHere);
  }
</script>

<section data-ask="told">
  <h2 class="text-[1.5em] leading-snug font-bold">{says.whatCanBeSaidAlready}</h2>
  <p class="pt-1 leading-snug text-quiet">{says.leaveOutWhatNobodyKnows}</p>
  {#each told as { ask, words } (ask)}
    <fieldset class="mt-3" data-told={ask}>
      <legend class="pb-1 text-[0.93em] font-semibold text-quiet">{askText(ask)}</legend>
      <ul class="grid gap-1.5 {ask === 'lines' ? 'grid-cols-3' : 'grid-cols-2'}">
        {#each words as is (is)}
          {@const on = said(ask) === is}
          <li class="flex">
            {#if ask === 'sound'}
              <button
                type="button"
                class="btn min-h-12 rounded-r-none border-r-0 px-3 font-normal text-quiet"
                aria-label={says.hear(wordText(ask, is))}
                onclick={() => void hear(is as Sound)}>{says.hear2}</button
              >
            {/if}
            <button
              type="button"
              class="btn h-auto min-h-12 flex-1 px-2 py-1 leading-tight {on ? 'btn-primary' : ''} {ask === 'sound'
                ? 'rounded-l-none'
                : ''}"
              aria-pressed={on}
              data-answer={is}
              onclick={() => onsay(ask, on ? null : is)}>{wordText(ask, is)}</button
            >
          </li>
        {/each}
      </ul>
    </fieldset>
  {/each}
  <button type="button" class="btn mt-5 min-h-14 w-full btn-primary" onclick={ongo}>{says.goOn}</button>
</section>
