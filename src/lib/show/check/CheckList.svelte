<script lang="ts">
  import { check as says } from '$core/words/screen/check';
  import type { Line } from '$core/plan/lines';
  import { formatNumber } from '$core/units/format';
  import { OUTCOME_TEXTS } from '$core/words/check';
  import { tagOf } from '$core/words/paper';
  import { type Order, type Standing, STANDING_COLOURS } from './check-state';
  import { lineName } from '$lib/show/session/edits';
  import type { MergedReading } from '$core/linecheck/merge';

  interface Props {
    lines: readonly Line[];
    current: Line;
    standing: (line: Line) => Standing;
    readingOf: (line: Line) => MergedReading | undefined;
    order: Order;
    practice: boolean;
    seed: number;
    onorder: (order: Order) => void;
    onpractice: (on: boolean) => void;
    onseed: (seed: number) => void;
    onpick: (line: Line) => void;
  }
  /** All lines with how far they are, whoever read them; in which order to go on; and whether it is only practice. */
  const { lines, current, standing, readingOf, order, practice, seed, onorder, onpractice, onseed, onpick }: Props =
    $props();

  const STANDING_NAMES: Readonly<Record<Standing, string>> = {
    open: says.notYet,
    started: OUTCOME_TEXTS.started,
    later: OUTCOME_TEXTS.later,
    faulty: OUTCOME_TEXTS.faulty,
    unread: OUTCOME_TEXTS.unread,
    off: says.doneNotAsPlanned,
    right: OUTCOME_TEXTS.works
  };
</script>

<div class="flex flex-wrap gap-2 pb-2" role="group" aria-label={says.order}>
  {#each [['channel', says.byChannel], ['place', says.byPlace], ['open', says.whatIsLeft]] as const as [id, text] (id)}
    <button
      type="button"
      class="btn min-h-12 flex-1 {order === id ? 'btn-primary' : ''}"
      aria-pressed={order === id}
      onclick={() => onorder(id)}>{text}</button
    >
  {/each}
</div>
<ul>
  {#each lines as l, k (l.id)}
    {@const s = standing(l)}
    {@const r = readingOf(l)}
    <li class="border-b border-base-300">
      <button
        type="button"
        class="flex min-h-12 w-full items-center gap-3 text-left"
        aria-current={l === current ? 'true' : undefined}
        onclick={() => onpick(l)}
      >
        <span class="size-3 shrink-0 rounded-full {STANDING_COLOURS[s]}"></span>
        <span class="num w-8 text-right text-quiet">{tagOf(l, k)}</span>
        <span class="min-w-0 flex-1 truncate font-semibold">{lineName(l)}</span>
        <span class="text-quiet" data-standing={s}
          >{STANDING_NAMES[s]}{r?.gainDb !== null && r ? says.db(formatNumber(r.gainDb)) : ''}</span
        >
      </button>
    </li>
  {/each}
</ul>
<section class="pt-4" aria-labelledby="practise">
  <h2 class="heading" id="practise">{says.practise}</h2>
  <p class="py-1.5 text-quiet">
    {says.aStandInVenueThisPlan}
  </p>
  <label class="flex min-h-12 items-center gap-3">
    <input
      type="checkbox"
      class="toggle toggle-primary"
      checked={practice}
      onchange={(e) => onpractice(e.currentTarget.checked)}
    />
    {says.readOffTheStandIn}
  </label>
  {#if practice}
    <label class="flex min-h-12 items-center gap-3">
      {says.venueNumber}
      <input
        type="number"
        class="num input w-24"
        min="1"
        max="9999"
        value={seed}
        oninput={(e) => onseed(Number(e.currentTarget.value) || 1)}
      />
    </label>
  {/if}
</section>
