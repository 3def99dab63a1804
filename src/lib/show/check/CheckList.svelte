<script lang="ts">
  import type { Line } from '$core/plan/lines';
  import { formatNumber } from '$core/units/format';
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
    open: 'not yet',
    started: 'begun',
    off: 'done, not as planned',
    right: 'done'
  };
</script>

<div class="flex flex-wrap gap-2 pb-2" role="group" aria-label="Order">
  {#each [['channel', 'by channel'], ['place', 'by place'], ['open', 'what is left']] as const as [id, text] (id)}
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
          >{STANDING_NAMES[s]}{r?.gainDb !== null && r ? `, ${formatNumber(r.gainDb)} dB` : ''}</span
        >
      </button>
    </li>
  {/each}
</ul>
<section class="pt-4" aria-labelledby="practise">
  <h2 class="heading" id="practise">Practise</h2>
  <p class="py-1.5 text-quiet">
    A stand-in venue: this plan with a few things otherwise, computed as a desk would show it. What is read there is
    never mixed with the real show.
  </p>
  <label class="flex min-h-12 items-center gap-3">
    <input
      type="checkbox"
      class="toggle toggle-primary"
      checked={practice}
      onchange={(e) => onpractice(e.currentTarget.checked)}
    /> Read off the stand-in
  </label>
  {#if practice}
    <label class="flex min-h-12 items-center gap-3">
      Venue number
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
