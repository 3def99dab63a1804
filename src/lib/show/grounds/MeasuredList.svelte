<script lang="ts">
  import { isDangerous, type Measured } from '$core/trace/belief';
  import { type MeasuredAgain, measuredOf } from '$core/trace/measured';
  import type { MeasuredRow, Plan } from '$core/plan/schema';
  import { toDbu } from '$core/units/quantity';
  import { formatNumber, formatQuantity } from '$core/units/format';
  import { grounds as says } from '$core/words/screen/grounds';
  import { readMeasured } from './measured-quantity';
  import { dateTime } from '$lib/ui/when';

  interface Props {
    plan: Plan;
    rows: readonly MeasuredAgain[];
    /** What a row speaks of, in words. */
    textOf: (what: Measured) => string;
    /** @param row null takes it back */
    onset: (id: string, row: MeasuredRow | null) => void;
    ondanger: () => void;
  }
  /** What was measured on this stage: when, how much, and what the map says of the same now. */
  const { plan, rows, textOf, onset, ondanger }: Props = $props();

  let editing = $state<string | null>(null);
  let typed = $state('');
  let wrong = $state<string | null>(null);
  const told = ({ kind }: MeasuredRow, value: number): string =>
    kind === 'level'
      ? `${formatNumber(toDbu(value), 1)}\u202FdBu`
      : formatQuantity(kind === 'clamp' ? 'current' : 'voltage', value, 2);

  function begin(id: string, row: MeasuredRow): void {
    [editing, typed, wrong] = [id, told(row, row.value), null];
  }
  function save(event: SubmitEvent, id: string, row: MeasuredRow): void {
    event.preventDefault();
    const read = readMeasured(row.kind, typed);
    wrong = 'wrong' in read ? read.wrong : null;
    if ('wrong' in read) return;
    const next = { ...row, value: read.value };
    const what = measuredOf(plan, next);
    if (what && isDangerous(what)) return ondanger();
    editing = null;
    if (next.value !== row.value) onset(id, next);
  }
</script>

{#if rows.length > 0}
  <h3 class="pt-1 text-[0.93em] font-semibold text-quiet">{says.measuredHere}</h3>
  <ul>
    {#each rows as { id, row, now } (id)}
      {@const what = measuredOf(plan, row)}
      <li class="border-b border-base-300 py-1.5 leading-snug" data-measured={row.kind}>
        <span>{what ? textOf(what) : says.somethingThatIsGone}</span>
        {#if editing === id}
          <form class="flex gap-2 pt-1" onsubmit={(e) => save(e, id, row)}>
            <!-- svelte-ignore a11y_autofocus -->
            <input class="num input w-full input-sm" aria-label={says.reading} autofocus bind:value={typed} />
            <button class="btn btn-primary btn-sm">{says.takeItIn}</button>
            <button type="button" class="btn btn-sm" onclick={() => (editing = null)}>{says.cancel}</button>
          </form>
          {#if wrong}<p class="text-error" role="alert">{wrong}</p>{/if}
        {:else}
          <span class="flex flex-wrap items-baseline justify-between gap-x-3">
            <span
              ><span class="num">{told(row, row.value)}</span>
              <span class="text-[0.93em] text-quiet"
                >{dateTime(row.at)}{now !== null && now > 0 ? says.theMapSays(told(row, now)) : ''}</span
              ></span
            >
            <span class="flex">
              <button
                type="button"
                class="min-h-8 px-1.5 text-[0.93em] underline"
                aria-label={says.changeIt(what ? textOf(what) : says.somethingThatIsGone)}
                onclick={() => begin(id, row)}>{says.change}</button
              >
              <button
                type="button"
                class="min-h-8 px-1.5 text-[0.93em] underline"
                aria-label={says.takeItBack(what ? textOf(what) : says.somethingThatIsGone)}
                onclick={() => onset(id, null)}>{says.takeBack}</button
              >
            </span>
          </span>
        {/if}
      </li>
    {/each}
  </ul>
{/if}
