<script lang="ts">
  import { board as says } from '$core/words/screen/board';
  import type { Line } from '$core/plan/lines';
  import { specOf } from '$core/plan/spec';
  import { complete, type Completion } from '$core/reader/complete';
  import { namesOf } from '$core/reader/names';
  import { readTyped } from '$core/reader/read';
  import { tellLine } from '$core/reader/write-line';
  import { earthAsked } from '$core/reader/refuse';
  import { EARTH_REFUSED } from '$core/words/faults';
  import type { readTrade } from '$core/reader/trade/read';
  import { onDestroy, onMount, tick, untrack } from 'svelte';
  import { useBoard } from './board-state.svelte';
  import type SaidReading from './SaidReading.svelte';

  const board = useBoard();
  const plan = $derived(board.plan);
  /** The line being edited in words; null for a new one. */
  const editing = $derived(board.editing);

  let text = $state('');
  let caret = $state(0);
  let active = $state(-1);
  let focused = $state(false);
  let field: HTMLInputElement;
  let draft = '';

  const known = $derived(namesOf(plan));
  /** Not part of the first view, but here when the network is not. */
  let asTrade = $state.raw<typeof readTrade | null>(null);
  let Reading = $state.raw<typeof SaidReading | null>(null);
  onMount(async () => {
    const [trade, said] = await Promise.all([import('$core/reader/trade/read'), import('./SaidReading.svelte')]);
    [asTrade, Reading] = [trade.readTrade, said.default];
    if (!board.show.mayChange) return;
    const [{ fetchRemembered, offered }, { bringPlayers, offeredInstruments }] = await Promise.all([
      import('$lib/show/log/remembered'),
      import('$lib/players/on-board')
    ]);
    if (gone) return;
    leave = bringPlayers(board);
    const before = await fetchRemembered(board.show.id);
    remember = (of) => {
      const here = known.lines?.map((l) => l.name) ?? [];
      const kept = offeredInstruments(of, board.players?.all.instruments ?? [], here);
      const again = offered(of, before, here);
      // What is kept as an instrument is not offered as an earlier line, too.
      return [...kept, ...again.filter((o) => !kept.some((k) => k.text.split(':')[0] === o.text.split(':')[0]))];
    };
  });
  let leave = (): void => undefined;
  let gone = false;
  onDestroy(() => {
    gone = true;
    leave();
  });
  /** Lines of that name at earlier shows. */
  let remember = $state.raw<(of: string) => Completion[]>(() => []);
  const typed = $derived(readTyped(text, known, asTrade));
  const reading = $derived(typed.strict);
  /** A line that stands already stays one line. */
  const specs = $derived(editing ? typed.specs.slice(0, 1) : typed.specs);
  const refused = $derived(earthAsked(text));
  const before = $derived(focused && !editing ? remember(text) : []);
  const options = $derived(focused ? [...before, ...complete(text, caret, reading, known)] : []);
  // A line that is complete is not to be covered by what it might go on with.
  const unfinished = $derived(
    typed.trade?.pieces.some((p) => p.to === caret && (p.read.is === 'unknown' || p.as !== undefined)) ?? true
  );
  /** A word still being typed is not yet one that nobody knows. */
  const unclear = $derived(typed.ignored.filter((w) => !(focused && options.length > 0 && w.to === caret)));
  const open = $derived(
    before.length > 0 ||
      (options.length > 0 && text.trim() !== '' && reading.spec === null && (specs.length === 0 || unfinished))
  );
  const empty = $derived(text.trim() === '');
  /** How it is read, said once somebody has stopped typing and not at every letter. */
  let spoken = $state('');
  let shownReading: HTMLElement;
  const PAUSE_MS = 900;
  $effect(() => {
    void text;
    const soon = setTimeout(() => (spoken = empty ? '' : shownReading.innerText), PAUSE_MS);
    return () => clearTimeout(soon);
  });
  /** A word still being typed is not yet a mistake. */
  const faults = $derived(
    typed.trade
      ? []
      : reading.faults.filter((f) => !(f.code === 'unknown' && options.length > 0 && f.piece.to === caret))
  );

  // Only the choice of a line puts words in; typing and the plan's other changes must not put them in again.
  $effect(() => {
    const line = editing;
    if (line) untrack(() => begin(line));
  });

  function begin(line: Line): void {
    const spec = specOf(plan, line);
    draft = text;
    if (spec) text = tellLine(spec, known);
    field.focus();
    field.select();
  }

  export function focus(): void {
    field.focus();
  }

  /** Puts text in to be corrected. */
  export async function put(given: string, toEnd = false): Promise<void> {
    text = given;
    field.focus();
    // The words stand in the field only after the next update; a caret set before would be lost.
    await tick();
    caret = toEnd ? given.length : 0;
    field.setSelectionRange(caret, caret);
  }

  function take(option: Completion): void {
    text = text.slice(0, option.from) + option.text + text.slice(option.to);
    caret = option.from + option.text.length;
    active = -1;
    field.focus();
    requestAnimationFrame(() => field.setSelectionRange(caret, caret));
  }

  function swap(from: number, to: number, by: string): void {
    text = text.slice(0, from) + by + text.slice(to);
    field.focus();
  }

  function submit(): void {
    if (specs.length === 0 || refused) return;
    const made = specs;
    const line = editing;
    text = editing ? draft : '';
    draft = '';
    void board.said(made, line);
  }

  function cancel(): void {
    if (editing) text = draft;
    draft = '';
    field.blur();
    void board.stopEditing();
  }

  function onkeydown(event: KeyboardEvent): void {
    if (event.key === 'ArrowDown' && open) active = (active + 1) % options.length;
    else if (event.key === 'ArrowUp' && open) active = (active <= 0 ? options.length : active) - 1;
    else if (event.key === 'Tab' && open && !event.shiftKey && active >= 0) take(options[active]);
    else if (event.key === 'Enter') {
      if (open && active >= 0) take(options[active]);
      else submit();
    } else if (event.key === 'Escape') {
      if (active >= 0) active = -1;
      else cancel();
    } else return;
    event.preventDefault();
    event.stopPropagation();
  }

  const hint = $derived.by(() => {
    const { partial, missing } = reading;
    const { assumed } = typed;
    if (typed.trade) return says.enterIt2(editing ? says.changes : says.adds);
    if (specs.length > 0)
      return assumed.length > 0
        ? says.enterIt(assumedText(assumed), editing ? says.changes : says.adds)
        : says.enterIt2(editing ? says.changes : says.adds);
    if (missing.includes('source')) return says.nextWhatIsPlayed;
    if (!partial.lead) return says.nextTheLeadAs3M;
    return partial.box ? says.nextTheRunAndTheInput : says.nextABoxOrTheRun;
  });
  const assumedText = (assumed: readonly string[]): string =>
    assumed
      .map((a) => (a === 'phantom' ? says.phantomOn : says.ofUsualLength(a === 'lead' ? says.aLead : says.aRun)))
      .join(' ');
</script>

<div
  class="no-print grid grid-cols-[minmax(0,620px)_minmax(0,1fr)] items-start gap-x-4 px-5 pt-2.5 max-lg:grid-cols-1 max-sm:px-3.5"
>
  <div class="relative">
    <input
      bind:this={field}
      bind:value={text}
      class="h-[38px] w-full rounded-[9px] border border-primary bg-card px-3 text-[1.07em] focus:outline-primary max-sm:h-12"
      placeholder={editing ? '' : says.sayALineUprightBassPiezo}
      aria-label={editing ? says.theLineInWords : says.sayALine}
      role="combobox"
      aria-expanded={open}
      aria-controls="say-options"
      aria-autocomplete="list"
      aria-activedescendant={active >= 0 ? `say-${active}` : undefined}
      aria-describedby="say-reading"
      autocomplete="off"
      autocapitalize="off"
      spellcheck="false"
      maxlength="300"
      {onkeydown}
      oninput={() => {
        caret = field.selectionStart ?? text.length;
        active = -1;
      }}
      onclick={() => (caret = field.selectionStart ?? text.length)}
      onfocus={() => {
        focused = true;
        caret = field.selectionStart ?? text.length;
      }}
      onblur={() => (focused = false)}
    />
    {#if open}
      <ul
        id="say-options"
        role="listbox"
        aria-label={says.waysToGoOn}
        class="absolute z-30 mt-1 w-full overflow-hidden {before.length > 0
          ? ''
          : 'max-w-sm'} rounded-[9px] border border-base-300 bg-card shadow-lg"
      >
        {#each options as option, k (option.text)}
          <li
            id="say-{k}"
            role="option"
            aria-selected={k === active}
            class="flex cursor-pointer justify-between gap-x-3 px-3 py-1.5 {k === active ? 'bg-base-200' : ''}"
            onpointerdown={(event) => {
              event.preventDefault();
              take(option);
            }}
          >
            <span>{option.text}</span><span class="text-quiet"
              >{option.role === 'instrument' ? says.plays : option.role === 'box' ? says.box : option.role}</span
            >
          </li>
        {/each}
      </ul>
    {/if}
  </div>
  <p class="sr-only" role="log" aria-live="polite" data-reading-spoken>{spoken}</p>
  <div bind:this={shownReading} id="say-reading" class="min-h-[46px] self-center py-1 leading-snug max-lg:min-h-0">
    {#if empty}
      <span class="text-quiet">
        {#if editing}
          {says.emptyEscLeavesTheLineAs}
        {:else}
          <span class="max-sm:hidden"><kbd class="key">N</kbd> {says.fromAnywhereAnyOrderCommasIf} </span>
          <button type="button" class="text-primary underline" onclick={() => (board.dialog = { kind: 'new' })}
            >{says.buildALineByPointing}</button
          >,
          <button type="button" class="text-primary underline" onclick={() => (board.list = '')}
            >{says.pasteAList}</button
          >
        {/if}
      </span>
    {:else if refused}
      <p role="alert" data-refused>
        <strong class="text-danger">{says.isRefused(refused)}</strong>
        {EARTH_REFUSED.reason}
        {EARTH_REFUSED.instead}
      </p>
    {:else if Reading}
      <Reading {typed} {specs} {faults} {unclear} {hint} onswap={swap} />
    {/if}
  </div>
</div>
