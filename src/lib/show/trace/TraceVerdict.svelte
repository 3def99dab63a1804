<script lang="ts">
  import { isTold } from '$core/trace/infer';
  import type { ProbeId } from '$core/trace/probes';
  import type { Suspect, TraceView } from '$core/trace/view';
  import { formatNumber } from '$core/units/format';
  import { sureText } from '$core/words/check';
  import { trace as says } from '$core/words/screen/trace';
  import { cureOfAsk } from '$core/words/tracing';
  import { useShow } from '$lib/show/session/context';

  interface Props {
    view: TraceView;
    best: Suspect;
    /** Of the cause, in words. */
    name: string;
    lineId: string;
    /** Goes on asking, where there is something to ask. */
    ongoon: (() => void) | null;
    /** The part that is faulty where it is this cause, in words; null where it is about no part, or there is no kit that it may be of. */
    part: string | null;
    /**
     * @param cured the test that took it away; null where nothing has yet
     * @param faulty the part goes to repair
     */
    onwrite: (cured: ProbeId | null, note: string, faulty: boolean) => void;
  }
  /** What it is, how sure that is, and what quietens it. */
  const { view, best, name, lineId, ongoon, part, onwrite }: Props = $props();
  const show = useShow();
  let cured = $state<ProbeId | null>(null);
  let note = $state('');
  let faulty = $state(false);
  const cures = $derived(view.quiets.flatMap((q) => (isTold(q.ask) ? [] : [q.ask])));
</script>

<section data-cause={best.id}>
  <p class="text-quiet">
    {view.done === 'sure' ? says.sureEnough : says.asFarAsCanBeTold}: {sureText(best)}, {formatNumber(best.share * 100)} %
  </p>
  <h2 class="text-[1.6em] leading-snug font-bold">{name}</h2>
  <h3 class="heading mt-4 border-b border-base-300 pb-1">{says.whatQuietensIt}</h3>
  <ol>
    {#each view.quiets as q (q.ask)}
      <li class="flex items-baseline justify-between gap-3 border-b border-base-300 py-2 leading-snug">
        <span>{cureOfAsk(q.ask)}</span><span class="num whitespace-nowrap"
          >{says.db(formatNumber(Math.max(q.db, -90)))}</span
        >
      </li>
    {:else}
      <li class="py-2 leading-snug">
        {best.code === 'low-level' ? says.bringTheLevelUpAtIts : says.nothingThatWasTriedHereLook}
      </li>
    {/each}
  </ol>
  <p class="flex flex-wrap gap-x-4 pt-3">
    <a class="underline" href="/show/{show.id}/earth?line={lineId}">{says.mapOfEarths}</a>
    <a class="underline" href="/show/{show.id}?line={lineId}">{says.onTheBoard2}</a>
  </p>
  {#if show.mayChange}
    {#if cures.length > 0}
      <fieldset class="mt-4">
        <legend class="heading mb-1 w-full">{says.didItCureIt}</legend>
        {#each [...cures, null] as cure (cure)}
          <label class="flex min-h-11 cursor-pointer items-center gap-3 leading-snug">
            <input type="radio" class="radio radio-sm" name="cured" value={cure} bind:group={cured} />
            {cure ? cureOfAsk(cure) : says.notCuredYet}
          </label>
        {/each}
      </fieldset>
    {/if}
    {#if part}
      <label class="mt-3 flex min-h-11 cursor-pointer items-center gap-3 leading-snug">
        <input type="checkbox" class="checkbox checkbox-sm" bind:checked={faulty} />
        {says.goesToRepair(part)}
      </label>
    {/if}
    <label class="mt-3 block">
      <span class="heading block">{says.note}</span>
      <textarea class="textarea mt-1 w-full" rows="2" maxlength="500" placeholder={says.noteHint} bind:value={note}
      ></textarea>
    </label>
  {/if}
  <div class="mt-4 grid gap-2">
    <button
      type="button"
      class="btn min-h-14 btn-primary"
      disabled={!show.mayChange}
      onclick={() => onwrite(cured, note, faulty && part !== null)}>{says.writeItInTheLog}</button
    >
    {#if ongoon}
      <button type="button" class="btn min-h-12" onclick={ongoon}>{says.goOnAsking}</button>
    {/if}
  </div>
</section>
