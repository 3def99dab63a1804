<script lang="ts">
  import { board as says } from '$core/words/screen/board';
  import { boxesOfSpec, type LineSpec } from '$core/plan/spec';
  import { readList } from '$core/reader/trade/list';
  import { modelShort } from '$core/words/names';
  import { formatQuantity } from '$core/units/format';
  import Dialog from '$lib/ui/Dialog.svelte';
  import { untrack } from 'svelte';

  interface Props {
    /** What was pasted; empty to begin with. */
    text: string;
    onadd: (specs: readonly LineSpec[]) => void;
    onclose: () => void;
  }
  /** A list as it is read, row by row, before any of it lands. */
  const { text, onadd, onclose }: Props = $props();
  let list = $state(untrack(() => text));
  /** Rows that are not wanted, by their number. */
  let off = $state.raw<ReadonlySet<number>>(new Set());
  const read = $derived(readList(list));
  const taken = $derived(read.rows.filter((r) => !off.has(r.row)).flatMap((r) => r.reading.specs));

  const way = (spec: LineSpec): string =>
    [
      modelShort(spec.source.model),
      ...boxesOfSpec(spec).map((b) => modelShort(b.model)),
      modelShort(spec.input.model)
    ].join(' → ');
  const metres = (spec: LineSpec): string => {
    const all = [spec.lead, spec.run, ...(spec.more ?? []).map((m) => m.run)].reduce(
      (sum, c) => sum + (c?.metres ?? 0),
      0
    );
    return formatQuantity('length', all);
  };
  function flip(row: number): void {
    const next = new Set(off);
    if (!next.delete(row)) next.add(row);
    off = next;
  }
  async function drop(event: DragEvent): Promise<void> {
    const [file] = event.dataTransfer?.files ?? [];
    if (file) list = await file.text();
  }
</script>

<Dialog title={says.anInputList} {onclose} wide>
  <p class="mb-2 text-quiet">{says.thatIsPastedOr}</p>
  <textarea
    class="num w-full rounded-[9px] border border-base-300 bg-card p-2 text-[0.86em]"
    rows="8"
    maxlength="40000"
    aria-label={says.listText}
    bind:value={list}
    ondragover={(event) => event.preventDefault()}
    ondrop={(event) => {
      if (event.dataTransfer?.files.length) {
        event.preventDefault();
        void drop(event);
      }
    }}></textarea>
  {#if read.rows.length === 0 && read.unread.length === 0}
    <p class="py-3 text-quiet">{says.nothingReadYet}</p>
  {:else}
    <p class="py-2" role="status">{says.rowsRead(taken.length)}</p>
    <ul class="max-h-[38dvh] overflow-y-auto border-t border-base-300" data-list-rows>
      {#each read.rows as { row, reading } (row)}
        {#each reading.specs as spec, k (k)}
          <li
            class="grid grid-cols-[auto_2.5em_minmax(0,10em)_1fr] items-baseline gap-x-2 border-b border-base-300 py-1 max-sm:grid-cols-[auto_2em_1fr]"
          >
            {#if k === 0}
              <input
                type="checkbox"
                class="checkbox checkbox-sm"
                checked={!off.has(row)}
                aria-label={says.takeRow(row)}
                onchange={() => flip(row)}
              />
            {:else}<span></span>{/if}
            <span class="num text-right text-quiet">{spec.channel ?? '·'}</span>
            <strong class="truncate {off.has(row) ? 'line-through' : ''}">{spec.name}</strong>
            <span class="max-sm:col-span-3 max-sm:pl-6">
              {way(spec)} <span class="num text-quiet">{metres(spec)}</span>
              {#if k === 0}
                {#each reading.ignored.slice(0, 3) as word (word.from)}
                  <span class="ml-1 text-error">{says.dontKnow(word.text)}</span>
                {/each}
                {#each reading.guessed as word (word.from)}
                  <span class="ml-1 text-quiet">{says.takenFor(word.text, word.as ?? '')}</span>
                {/each}
              {/if}
            </span>
          </li>
        {/each}
      {/each}
      {#each read.unread as { row, text: unreadText } (row)}
        <li class="grid grid-cols-[auto_1fr] gap-x-2 border-b border-base-300 py-1">
          <span class="text-error">{says.notRead}</span><span class="truncate">{unreadText.trim()}</span>
        </li>
      {/each}
    </ul>
  {/if}
  <div class="mt-4 flex justify-end gap-2">
    <button type="button" class="btn" onclick={onclose}>{says.cancelIt}</button>
    <button type="button" class="btn btn-primary" disabled={taken.length === 0} onclick={() => onadd(taken)}
      >{says.addThem(taken.length)}</button
    >
  </div>
</Dialog>
