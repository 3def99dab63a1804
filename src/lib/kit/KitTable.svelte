<script lang="ts">
  import { FORMULA } from '$core/text/cells';
  import { counted } from '$core/words/screen/counted';
  import { kit as says } from '$core/words/screen/kit';
  import { TYPED_BUT_TICKS, unlessTyping } from '$lib/ui/keys';
  import { itemsOf, rowsOf } from '$core/kit/csv';
  import { CONDITIONS, type Condition, type Kit, type KitItem, unitOf } from '$core/kit/schema';
  import { freeOf, inCondition, numbered } from '$core/kit/units';
  import { rowFaultText } from '$core/words/faults';
  import { CONDITION_NAMES } from '$core/words/names';
  import { kitItemName } from '$core/words/routes';
  import type { KitChange } from '$lib/protocol/kit';
  import Papa from 'papaparse';
  import { onMount } from 'svelte';
  import { SvelteSet } from 'svelte/reactivity';
  import { toast } from 'svelte-sonner';
  import { tinykeys } from 'tinykeys';
  import { adding, changesTo, freshId } from './changes';
  import KitRow from './KitRow.svelte';
  import KitSay from './KitSay.svelte';
  import { labelOf } from './labels';
  import { saveFile } from '$lib/ui/save-file';

  interface Props {
    kit: Kit;
    /** What of each the show at hand uses, by id; none where there is no show. */
    used?: ReadonlyMap<string, number>;
    onchange: (changes: KitChange[], what: string) => void;
    /** Whether each thing has a page with what became of it. */
    lives?: boolean;
  }
  const { kit, used, onchange, lives = false }: Props = $props();

  type Column = 'what' | 'count' | 'condition' | 'place';
  let sort = $state<Column | null>(null);
  let down = $state(false);
  let find = $state('');
  let faults = $state<readonly string[]>([]);
  let field = $state<KitSay>();
  let search: HTMLInputElement;
  let file: HTMLInputElement;
  const chosen = new SvelteSet<string>();
  /** What stands before the numbers that are given. */
  let word = $state('DI');
  const units = $derived(Object.values(kit).some((item) => unitOf(item)));

  const VALUE: Readonly<Record<Column, (item: KitItem) => string | number>> = {
    what: (item) =>
      `${kitItemName(item)} ${(unitOf(item)?.label ?? '').replace(/\d+/g, (n) => n.padStart(6, '0'))} ${item.kind === 'lead' ? String(item.metres * 10).padStart(6, '0') : ''}`,
    count: (item) => item.count,
    condition: (item) => CONDITIONS.indexOf(item.condition),
    place: (item) => item.place
  };
  const rows = $derived.by(() => {
    const wanted = find.toLowerCase().split(/\s+/).filter(Boolean);
    const list = Object.entries(kit).filter(([, item]) => {
      const text =
        `${labelOf(item)} ${unitOf(item)?.serial ?? ''} ${item.name} ${item.place} ${item.note} ${CONDITION_NAMES[item.condition]}`
          .toLowerCase()
          // Units stand behind a thin space, which nobody types.
          .replaceAll('\u202F', ' ');
      return wanted.every((word) => text.includes(word));
    });
    const by = sort;
    if (by === null) return list;
    const sign = down ? -1 : 1;
    return list.sort(([, a], [, b]) => {
      const [x, y] = [VALUE[by](a), VALUE[by](b)];
      return sign * (typeof x === 'number' && typeof y === 'number' ? x - y : String(x).localeCompare(String(y)));
    });
  });
  const picked = $derived(rows.filter(([id]) => chosen.has(id)).map(([id]) => id));
  const things = $derived(Object.values(kit).reduce((sum, item) => sum + item.count, 0));

  onMount(() => {
    const when = (act: () => void) => unlessTyping(act, TYPED_BUT_TICKS);
    return tinykeys(window, {
      n: when(() => field?.focus()),
      '/': when(() => search.focus()),
      Delete: when(remove)
    });
  });

  function edit(ids: readonly string[], change: Partial<KitItem>): void {
    const after = { ...kit };
    for (const id of ids) after[id] = { ...after[id], ...change } as KitItem;
    put(after, ids);
  }
  function put(after: Kit, ids: readonly string[]): void {
    onchange(changesTo(kit, after), ids.length === 1 ? kitItemName(kit[ids[0]]) : `${ids.length} kinds`);
  }
  const setCondition = (condition: Condition): void =>
    put({ ...kit, ...Object.fromEntries(picked.map((id) => [id, inCondition(kit[id], condition)])) }, picked);
  /** Every thing of the selected rows gets a number of its own. */
  function number(): void {
    const after = picked.reduce<Kit>((now, id) => numbered(now, id, word.trim(), freshId) ?? now, kit);
    const count = changesTo(kit, after).length;
    if (count === 0) {
      toast(says.nothingToNumber);
      return;
    }
    put(after, picked);
    toast(says.numbersGiven(count));
  }
  function remove(): void {
    if (picked.length === 0) return;
    const after = Object.fromEntries(Object.entries(kit).filter(([id]) => !picked.includes(id)));
    onchange(
      changesTo(kit, after),
      says.takeOut2(picked.length === 1 ? kitItemName(kit[picked[0]]) : `${picked.length} kinds`)
    );
    chosen.clear();
  }
  /** Up, down, as written. */
  function by(column: Column): void {
    if (sort !== column) [sort, down] = [column, false];
    else if (!down) down = true;
    else [sort, down] = [null, false];
  }

  function save(): void {
    saveFile('kit.csv', 'text/csv', Papa.unparse(rowsOf(Object.values(kit)), { escapeFormulae: FORMULA }));
  }
  async function read(): Promise<void> {
    const chosenFile = file.files?.[0];
    file.value = '';
    if (!chosenFile) return;
    const { data } = Papa.parse<string[]>(await chosenFile.text(), { skipEmptyLines: true });
    const { items: all, faults: wrong } = itemsOf(data);
    const { items, taken } = freeOf(kit, all);
    faults = [...wrong.map(rowFaultText), ...taken.map(says.isThereAlready)].slice(0, 20);
    if (items.length === 0) return;
    onchange(adding(kit, items), says.addOfAFile(items.length, counted.row(items.length)));
    toast(
      says.added(
        items.length,
        counted.row(items.length),
        wrong.length + taken.length > 0 ? says.leftOut(wrong.length + taken.length) : ''
      )
    );
  }
  const arrow = (column: Column): string => (sort === column ? (down ? ' ▴' : ' ▾') : '');
  const ariaSort = (column: Column) => (sort === column ? (down ? 'descending' : 'ascending') : 'none');
</script>

<KitSay bind:this={field} {kit} {onchange} {faults} onfaults={(list) => (faults = list)} />

<div class="flex flex-wrap items-center gap-x-3 gap-y-2 px-5 pt-2 pb-2 max-sm:px-3.5">
  <span class="text-quiet">{says.kindsThings(Object.keys(kit).length, things)}</span>
  <label class="sr-only" for="kit-find">{says.findInTheKit}</label>
  <input
    id="kit-find"
    bind:this={search}
    bind:value={find}
    type="search"
    class="input w-44 input-sm"
    placeholder={says.find}
  />
  {#if picked.length > 0}
    <span class="flex flex-wrap items-center gap-2" role="group" aria-label={says.selected(picked.length)}>
      <strong>{says.selected(picked.length)}</strong>
      {#each CONDITIONS as condition (condition)}
        <button type="button" class="btn btn-outline btn-sm" onclick={() => setCondition(condition)}
          >{CONDITION_NAMES[condition]}</button
        >
      {/each}
      <input
        class="input w-36 input-sm"
        placeholder={says.putInto}
        aria-label={says.placeOfTheSelected}
        maxlength="80"
        onchange={(event) => {
          edit(picked, { place: event.currentTarget.value.trim() });
          event.currentTarget.value = '';
        }}
      />
      <span class="flex">
        <input
          class="input w-16 rounded-r-none input-sm"
          aria-label={says.wordBefore}
          maxlength="10"
          bind:value={word}
        />
        <button type="button" class="btn rounded-l-none btn-outline btn-sm" onclick={number}>{says.numberThem}</button>
      </span>
      <button type="button" class="btn btn-outline btn-error btn-sm" onclick={remove}>{says.takeOut}</button>
    </span>
  {/if}
  <span class="ml-auto flex gap-3">
    {#if lives && units}
      <a
        class="text-quiet underline hover:text-base-content"
        href="/api/kit/labels{picked.length > 0 ? `?of=${picked.join(',')}` : ''}"
        target="_blank">{says.labels}</a
      >
    {/if}
    <button type="button" class="text-quiet underline hover:text-base-content" onclick={() => file.click()}
      >{says.readCsv}</button
    >
    <button type="button" class="text-quiet underline hover:text-base-content" onclick={save}>{says.saveCsv}</button>
    <input
      bind:this={file}
      type="file"
      accept=".csv,text/csv"
      class="hidden"
      aria-label={says.csvFile}
      onchange={() => void read()}
    />
  </span>
</div>

{#if Object.keys(kit).length === 0}
  <p class="px-5 py-10 text-center text-quiet">{says.nothingInItYetSayAbove}</p>
{:else}
  <div class="relative overflow-x-auto px-5 max-sm:px-3.5">
    <table class="kit-table w-full">
      <thead>
        <tr class="border-b-2 border-primary text-left text-[0.93em] text-quiet">
          <th class="w-8">
            <input
              type="checkbox"
              class="checkbox checkbox-sm align-middle"
              aria-label={says.selectAllThatAreShown}
              checked={picked.length > 0 && picked.length === rows.length}
              onchange={(event) =>
                event.currentTarget.checked ? rows.forEach(([id]) => chosen.add(id)) : chosen.clear()}
            />
          </th>
          {#each [['count', says.howMany, 'w-24'], ['what', says.what, '']] as const as [column, title, width] (column)}
            <th class="py-1.5 {width}" aria-sort={ariaSort(column)}
              ><button type="button" onclick={() => by(column)}>{title}{arrow(column)}</button></th
            >
          {/each}
          {#if used}<th class="w-28 text-right font-normal">{says.thisShow}</th>{/if}
          <th class="w-40 font-normal">{says.ownName}</th>
          <th class="w-28" aria-sort={ariaSort('condition')}
            ><button type="button" onclick={() => by('condition')}>{says.condition(arrow('condition'))}</button></th
          >
          <th class="w-36" aria-sort={ariaSort('place')}
            ><button type="button" onclick={() => by('place')}>{says.where(arrow('place'))}</button></th
          >
          <th class="font-normal">{says.note}</th>
          {#if lives}<th class="w-16"><span class="sr-only">{says.history}</span></th>{/if}
        </tr>
      </thead>
      <tbody>
        {#each rows as [id, item] (id)}
          <KitRow
            {id}
            {item}
            used={used && (used.get(id) ?? 0)}
            chosen={chosen.has(id)}
            onchoose={(on) => (on ? chosen.add(id) : chosen.delete(id))}
            onedit={(change) => edit([id], change)}
            life={lives ? `/kit/${id}` : undefined}
          />
        {:else}
          <tr><td colspan="9" class="py-8 text-center text-quiet">{says.nothingHereIsCalledThat}</td></tr>
        {/each}
      </tbody>
    </table>
  </div>
{/if}
