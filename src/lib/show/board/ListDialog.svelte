<script lang="ts">
  import { FORMULA } from '$core/text/cells';
  import { board as says } from '$core/words/screen/board';
  import type { LineSpec } from '$core/plan/spec';
  import { type Column, COLUMNS } from '$core/reader/trade/columns';
  import { readList } from '$core/reader/trade/list';
  import { listRows } from '$core/reader/write-list';
  import Dialog from '$lib/ui/Dialog.svelte';
  import { saveFile } from '$lib/ui/save-file';
  import Papa from 'papaparse';
  import { untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { useBoard } from './board-state.svelte';
  import { NoList, textOfFile } from './list-file';
  import ListRow from './ListRow.svelte';

  interface Props {
    /** What was pasted; empty to begin with. */
    text: string;
    onadd: (specs: readonly LineSpec[]) => void;
    onclose: () => void;
  }
  /** A list as it is read, row by row, before any of it lands; and the show's own lines as a list. */
  const { text, onadd, onclose }: Props = $props();
  const board = useBoard();
  let list = $state(untrack(() => text));
  /** Rows that are not wanted, by their number. */
  let off = $state.raw<ReadonlySet<number>>(new Set());
  /** Columns, where somebody has said what they are. */
  let given = $state.raw<readonly Column[] | undefined>();
  let trouble = $state('');
  let file: HTMLInputElement;

  const read = $derived(readList(list, given));
  const taken = $derived(read.rows.filter((r) => !off.has(r.row)).flatMap((r) => r.reading.specs));
  /** Rows in the order of the list, read or not. */
  const rows = $derived(
    [...read.rows, ...read.unread.map(({ row, text }) => ({ row, text, reading: null }))].sort((a, b) => a.row - b.row)
  );

  function flip(row: number): void {
    const next = new Set(off);
    if (!next.delete(row)) next.add(row);
    off = next;
  }
  function replace(next: string): void {
    list = next;
    given = undefined;
    off = new Set();
    trouble = '';
  }
  function edit(row: number, line: string): void {
    list = list
      .replace(/\r\n?/g, '\n')
      .split('\n')
      .map((was, k) => (k === row - 1 ? line : was))
      .join('\n');
  }
  async function take(from: File | undefined): Promise<void> {
    if (!from) return;
    try {
      replace(await textOfFile(from));
    } catch (reason) {
      trouble = says.noList(from.name, reason instanceof NoList ? reason.why : 'not-a-sheet');
    }
  }
  function assign(k: number, column: Column): void {
    const now = given ?? read.table?.columns ?? [];
    // What only one column can be, another column was until now.
    given = now.map((c, n) => (n === k ? column : c === column && column !== 'note' && column !== 'skip' ? 'note' : c));
  }
  const own = (): string[][] => listRows(board.plan);
  async function copyOwn(): Promise<void> {
    await navigator.clipboard.writeText(
      own()
        .map((r) => r.join('\t'))
        .join('\n')
    );
    toast(says.listCopied(board.lines.length));
  }
  const saveOwn = (): void =>
    saveFile(`${board.show.name}.csv`, 'text/csv', Papa.unparse(own(), { escapeFormulae: FORMULA }));
</script>

<Dialog title={says.anInputList} {onclose} wide>
  <p class="mb-2 text-quiet">{says.thatIsPastedOr}</p>
  <textarea
    class="num w-full rounded-[9px] border border-base-300 bg-card p-2 text-[0.86em]"
    rows="6"
    maxlength="40000"
    aria-label={says.listText}
    value={list}
    oninput={(event) => replace(event.currentTarget.value)}
    ondragover={(event) => event.preventDefault()}
    ondrop={(event) => {
      if (event.dataTransfer?.files.length) {
        event.preventDefault();
        void take(event.dataTransfer.files[0]);
      }
    }}></textarea>
  <p class="flex flex-wrap gap-x-4 gap-y-1 pt-1 text-quiet">
    <button type="button" class="text-primary underline" onclick={() => file.click()}>{says.readAFile}</button>
    <input
      bind:this={file}
      type="file"
      class="sr-only"
      tabindex="-1"
      accept=".csv,.tsv,.txt,.xlsx"
      aria-label={says.listFile}
      onchange={(event) => {
        void take(event.currentTarget.files?.[0]);
        event.currentTarget.value = '';
      }}
    />
    {#if board.lines.length > 0}
      <span class="flex-1"></span>
      <button type="button" class="text-primary underline" onclick={() => void copyOwn()}
        >{says.copyThisShowsList}</button
      >
      <button type="button" class="text-primary underline" onclick={saveOwn}>{says.saveItAsCsv}</button>
    {/if}
  </p>
  {#if trouble}<p class="pt-1 text-error" role="alert">{trouble}</p>{/if}
  {#if read.table && read.table.by !== '  '}
    <div class="mt-2 flex flex-wrap gap-2" role="group" aria-label={says.columns}>
      {#each read.table.columns as column, k (k)}
        <label class="flex flex-col text-[0.9em]">
          <span class="max-w-[10em] truncate text-quiet">{read.table.heads[k] || says.columnNumber(k + 1)}</span>
          <select
            class="select select-sm"
            value={column}
            aria-label={says.columnIs(read.table.heads[k] || says.columnNumber(k + 1))}
            onchange={(event) => assign(k, event.currentTarget.value as Column)}
          >
            {#each COLUMNS as is (is)}<option value={is}>{says.columnNames[is]}</option>{/each}
          </select>
        </label>
      {/each}
    </div>
  {/if}
  {#if rows.length === 0}
    <p class="py-3 text-quiet">{says.nothingReadYet}</p>
  {:else}
    <p class="py-2" role="status">
      {says.rowsRead(taken.length)}{read.unread.length > 0 ? says.rowsNotRead(read.unread.length) : ''}
    </p>
    <ul class="max-h-[36dvh] overflow-y-auto border-t border-base-300" data-list-rows>
      {#each rows as { row, text: rowText, reading } (row)}
        <ListRow
          {row}
          text={rowText}
          {reading}
          taken={!off.has(row)}
          onflip={() => flip(row)}
          onedit={(line) => edit(row, line)}
        />
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
