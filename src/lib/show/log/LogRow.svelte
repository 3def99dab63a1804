<script lang="ts">
  import { log as says } from '$core/words/screen/log';
  import { KIND_NAMES } from '$core/words/log';
  import { isTyped, LOG_LIMITS, stands } from '$core/log/entry';
  import { dateTime, timeOf } from '$lib/ui/when';
  import ReadAs from './ReadAs.svelte';
  import type { Shown } from './log-book.svelte';

  interface Props {
    entry: Shown;
    lineName: (id: string) => string | null;
    mayChange: boolean;
    oncorrect: (text: string) => Promise<void>;
    /** Sets the lines as they were for this take; null where that cannot be. */
    onrecall: (() => Promise<void>) | null;
  }
  const { entry, lineName, mayChange, oncorrect, onrecall }: Props = $props();
  let correcting = $state<string | null>(null);
  const text = $derived(stands(entry));
  const typed = $derived(isTyped(entry.kind));
  const quiet = $derived(
    [KIND_NAMES[entry.kind], entry.by, entry.waiting ? says.waiting : null].filter((t) => t !== null).join(', ')
  );
  /** Lines stand in the words of what wrote itself. */
  const facts = $derived(typed ? entry.facts : {});

  async function correct(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const given = (correcting ?? '').trim();
    if (given !== '' && given !== text) await oncorrect(given);
    correcting = null;
  }
</script>

<li class="grid grid-cols-[70px_1fr] gap-x-3 border-b border-base-300 py-2 leading-snug" data-entry={entry.kind}>
  <time class="num text-[0.93em] whitespace-nowrap text-quiet" datetime={entry.at} title={dateTime(entry.at)}
    >{timeOf(entry.at)}</time
  >
  <div class="min-w-0">
    <p class="[overflow-wrap:anywhere] {typed ? 'font-semibold' : ''}">{text}</p>
    {#if entry.corrections.length > 0}
      {@const last = entry.corrections[entry.corrections.length - 1]}
      <p class="text-[0.93em] text-quiet">
        <s>{entry.text}</s>, {says.correctedBy(last.by ?? says.somebody, dateTime(last.at))}
      </p>
    {/if}
    <p class="flex flex-wrap items-center gap-x-2 gap-y-1 pt-0.5 text-[0.93em] text-quiet">
      <span>{quiet}</span>
      <ReadAs {facts} tags={entry.tags} {lineName} />
      {#if onrecall}<button type="button" class="link" onclick={() => void onrecall()}>{says.setAsThen}</button>{/if}
      {#if mayChange && typed && !entry.waiting && correcting === null}
        <button type="button" class="link" aria-label={says.correctThis(text)} onclick={() => (correcting = text)}
          >{says.correct}</button
        >
      {/if}
    </p>
    {#if correcting !== null}
      <form class="flex flex-wrap gap-2 pt-2" onsubmit={correct}>
        <input
          class="input min-w-0 flex-1 basis-60"
          aria-label={says.correction}
          maxlength={LOG_LIMITS.text}
          bind:value={correcting}
        />
        <button class="btn btn-primary">{says.correctIt}</button>
        <button type="button" class="btn" onclick={() => (correcting = null)}>{says.leaveIt}</button>
      </form>
    {/if}
  </div>
</li>
