<script lang="ts">
  import { board as says } from '$core/words/screen/board';
  import { boxesOfSpec, type LineSpec } from '$core/plan/spec';
  import type { TradeReading } from '$core/reader/trade/reading';
  import { modelShort } from '$core/words/names';
  import { formatQuantity } from '$core/units/format';

  interface Props {
    row: number;
    /** What stands in the row. */
    text: string;
    /** How it is read; null where no line can be made of it. */
    reading: TradeReading | null;
    /** Whether it is wanted. */
    taken: boolean;
    onflip: () => void;
    onedit: (text: string) => void;
  }
  const { row, text, reading, taken, onflip, onedit }: Props = $props();
  let editing = $state(false);
  const specs = $derived(reading?.specs ?? []);

  const way = (spec: LineSpec): string =>
    [
      modelShort(spec.source.model),
      ...boxesOfSpec(spec).map((b) => modelShort(b.model)),
      modelShort(spec.input.model)
    ].join(' → ');
  const metres = (spec: LineSpec): string =>
    formatQuantity(
      'length',
      [spec.lead, spec.run, ...(spec.more ?? []).map((m) => m.run)].reduce((sum, c) => sum + (c?.metres ?? 0), 0)
    );
  function done(value: string): void {
    editing = false;
    if (value !== text) onedit(value);
  }
  const focus = (field: HTMLInputElement): void => field.select();
</script>

{#if editing}
  <li class="border-b border-base-300 py-1">
    <input
      class="num input w-full input-sm"
      value={text}
      maxlength="400"
      aria-label={says.textOfRow(row)}
      {@attach focus}
      onblur={(event) => done(event.currentTarget.value)}
      onkeydown={(event) => {
        if (event.key === 'Enter') done(event.currentTarget.value);
        else if (event.key === 'Escape') {
          // The dialog stays: only the row is left as it was.
          event.preventDefault();
          event.stopPropagation();
          editing = false;
        }
      }}
    />
  </li>
{:else if reading === null}
  <li class="grid grid-cols-[auto_1fr_auto] gap-x-2 border-b border-base-300 py-1">
    <span class="text-error">{says.notRead}</span><span class="truncate">{text.trim()}</span>
    <button type="button" class="text-primary underline" aria-label={says.editRow(row)} onclick={() => (editing = true)}
      >{says.editIt}</button
    >
  </li>
{:else}
  {#each specs as spec, k (k)}
    <li
      class="grid grid-cols-[auto_2.5em_minmax(0,10em)_1fr_auto] items-baseline gap-x-2 border-b border-base-300 py-1 max-sm:grid-cols-[auto_2em_1fr_auto]"
    >
      {#if k === 0}
        <input
          type="checkbox"
          class="checkbox checkbox-sm"
          checked={taken}
          aria-label={says.takeRow(row)}
          onchange={onflip}
        />
      {:else}<span class="w-[1.2em]"></span>{/if}
      <span class="num text-right text-quiet">{spec.channel ?? '·'}</span>
      <strong class="truncate {taken ? '' : 'line-through'}">{spec.name}</strong>
      <span class="max-sm:order-last max-sm:col-span-4 max-sm:pl-6">
        {way(spec)} <span class="num text-quiet">{metres(spec)}</span>
        {#if spec.note}<span class="ml-1 text-quiet">{says.notedBeside(spec.note)}</span>{/if}
        {#if k === 0}
          {#if reading.assumed.length > 0}<span class="ml-1 text-quiet"
              >{says.assumedParts(reading.assumed.map((a) => says.assumedNames[a]).join(', '))}</span
            >{/if}
          {#each reading.ignored.slice(0, 3) as word (word.from)}
            <span class="ml-1 text-error">{says.dontKnow(word.text)}</span>
          {/each}
          {#each reading.guessed as word (word.from)}
            <span class="ml-1 text-quiet">{says.takenFor(word.text, word.as ?? '')}</span>
          {/each}
        {/if}
      </span>
      {#if k === 0}
        <button
          type="button"
          class="text-primary underline"
          aria-label={says.editRow(row)}
          onclick={() => (editing = true)}>{says.editIt}</button
        >
      {/if}
    </li>
  {/each}
{/if}
