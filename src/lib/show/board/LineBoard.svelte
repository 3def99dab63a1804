<script lang="ts">
  import { counted } from '$core/words/screen/counted';
  import { board as says } from '$core/words/screen/board';
  import { resolve } from '$core/plan/resolved';
  import type { Remedy } from '$core/advise/remedies';
  import { kitFor } from '$core/advise/stock';
  import { pairsOf } from '$core/judge/pairs';
  import { mixOf } from '$core/judge/mix';
  import { type Line } from '$core/plan/lines';
  import type { Edit, Op } from '$core/plan/schema';
  import { type LineSpec, specOf } from '$core/plan/spec';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { onMount, tick, untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { tinykeys } from 'tinykeys';
  import { arrange, bracketOf, type Filter, grouped, type Sort, tally } from './board';
  import BoardHead from './BoardHead.svelte';
  import { addLines, applyRemedy, copyLine, deleteLine, lineName, sayLine } from '$lib/show/session/edits';
  import { copyText, pastedRows, readRow } from './clipboard';
  import BoardDialogs from './BoardDialogs.svelte';
  import type { BoardDialog } from './board';
  import LineRow from './LineRow.svelte';
  import { News } from './news.svelte';
  import { OpenAnswers } from './open-answers.svelte';
  import { type Actions, bindings } from './shortcuts';
  import TypeField from './TypeField.svelte';
  import NotComputed from '$lib/ui/NotComputed.svelte';
  import { useShow } from '$lib/show/session/context';
  import type { Panel } from '$lib/show/dialogs/part-dialog';
  import { ToleranceRun } from '$lib/show/line/tolerance.svelte';

  /** Lines that have been checked today: what is changed of them is changed on a live line. */
  /** Steps of an edit are 400 at most; a line of several boxes takes a dozen. */
  const LINES_AN_EDIT = 30;
  const MOST_PASTED = 40_000;
  const { live }: { live: readonly string[] } = $props();
  const show = useShow();
  const { session } = show;
  const judging = $derived(show.judging);
  const plan = $derived(session.plan);
  const lines = $derived(resolve(plan).lines);
  const reports = $derived(judging?.reports ?? new Map());

  let openId = $state<string | null>(null);
  let currentId = $state<string | null>(null);
  let editing = $state.raw<Line | null>(null);
  let sort = $state<Sort>('channel');
  let filter = $state<Filter>(null);
  const answers = new OpenAnswers();
  const news = new News(session, show.presence);
  $effect(() => void (show.at = openId));
  const pairs = $derived(pairsOf(plan, lines, reports));
  /** What the open line shows below its levels: findings, unless something onDemand was asked for. */
  let panel = $state<Panel>(null);
  const tolerance = new ToleranceRun();
  let dialog = $state.raw<BoardDialog | null>(null);
  let say = $state<TypeField>();

  const branches = $derived(resolve(plan).branches);
  const rows = $derived.by(() => {
    const list = arrange(lines, reports, sort, filter, openId);
    return sort === 'channel' ? grouped(list, branches) : list;
  });
  const counts = $derived(tally(lines, reports));
  /** Of the lines shown: a filter chooses what is summed. */
  const mix = $derived(mixOf(rows.flatMap((l) => reports.get(l.id) ?? [])));
  const current = $derived(rows.find((l) => l.id === currentId) ?? rows[0] ?? null);
  const openReport = $derived(openId ? reports.get(openId) : undefined);
  onMount(() => {
    // A label's code names the line that it is on.
    const wanted = page.url.searchParams.get('line');
    if (wanted && lines.some((l) => l.id === wanted)) {
      currentId = openId = wanted;
      void bringIntoView(wanted);
    }
    void fetchRest();
    show.help = () => (dialog = { kind: 'keys' });
    const onLine = (act: (line: Line) => void) => (): void => {
      if (current) act(current);
    };
    const actions: Actions = {
      up: () => void step(-1),
      down: () => void step(1),
      add: () => say?.focus(),
      edit: onLine(edit),
      build: onLine(build),
      inform: onLine(inform),
      copy: onLine(copy),
      remove: onLine(remove),
      compare: onLine(compare),
      branch: onLine(branchOff),
      hum: () => look('hum'),
      contacts: () => look('contacts'),
      tolerance: () => look('tolerance'),
      remedy: (key) => {
        const remedy = answers.remedy(Number(key));
        if (remedy) apply(remedy);
      },
      filter: () => (filter = filter === null ? 'wrong' : null),
      sort: () => (sort = sort === 'channel' ? 'verdict' : 'channel'),
      leave: () => (panel === null ? (openId = null) : (panel = null)),
      help: () => (dialog = { kind: 'keys' })
    };
    const stop = tinykeys(
      window,
      bindings(actions, () => dialog !== null)
    );
    document.addEventListener('copy', oncopy);
    document.addEventListener('paste', onpaste);
    return () => {
      document.removeEventListener('copy', oncopy);
      document.removeEventListener('paste', onpaste);
      stop();
      show.help = null;
      tolerance.cancel();
    };
  });

  // The worker's own share of what is fetched behind the first view; asked again when it is needed, should it fail.
  $effect(() => void judging?.ready().catch(() => undefined));

  // Remedies follow the open line's report.
  $effect(() => {
    const [report, kit] = [openReport, kitFor(plan, show.crewKit)];
    untrack(() => answers.askRemedies(judging, plan, report, kit, () => report && void bringIntoView(report.id)));
  });
  $effect(() => {
    const report = panel === 'hum' ? openReport : undefined;
    untrack(() => answers.askLoops(judging, plan, report));
  });

  /** What the first view does without is fetched right behind it, so that it is there when the server is not. */
  const fetchRest = (): Promise<unknown> =>
    Promise.allSettled([
      import('$lib/show/line/OpenLine.svelte'),
      import('$lib/show/line/HumPanel.svelte'),
      import('$lib/show/line/ContactsPanel.svelte'),
      import('$lib/show/line/TolerancePanel.svelte'),
      import('$lib/show/dialogs/DeviceDialog.svelte'),
      import('$lib/show/dialogs/CableDialog.svelte'),
      import('$lib/show/dialogs/InfoDialog.svelte'),
      import('$lib/show/dialogs/LineDialog.svelte'),
      import('$lib/show/dialogs/KeysDialog.svelte'),
      import('$lib/show/dialogs/OwnModelDialog.svelte'),
      import('$lib/show/dialogs/LineIsLiveDialog.svelte')
    ]);

  /** Another view of the open line, or back to its findings; opens the current line when none is. */
  function look(what: Exclude<Panel, null>): void {
    if (!openId && current) openId = current.id;
    panel = panel === what ? null : what;
    if (openId) void bringIntoView(openId);
  }

  async function step(by: number): Promise<void> {
    if (rows.length === 0) return;
    const at = current ? rows.indexOf(current) : -1;
    const next = rows[Math.min(Math.max(at + by, 0), rows.length - 1)];
    currentId = next.id;
    await focusRow(next.id);
  }

  async function focusRow(id: string): Promise<void> {
    await tick();
    const button = document.querySelector<HTMLElement>(`[data-open="${id}"]`);
    button?.focus();
    button?.scrollIntoView({ block: 'nearest' });
  }

  async function toggle(line: Line): Promise<void> {
    currentId = line.id;
    openId = openId === line.id ? null : line.id;
    if (!openId) return;
    session.seen(openId);
    await bringIntoView(line.id);
  }

  /** The open line in one piece on the screen, as far as it fits. */
  async function bringIntoView(id: string): Promise<void> {
    await tick();
    document.querySelector(`[data-line="${id}"]`)?.parentElement?.scrollIntoView({ block: 'nearest' });
  }

  const change = (edit: Edit | null): boolean => session.do(edit);

  /** A list that was pasted, to be looked at before it lands; null where none was. */
  let list = $state<string | null>(null);
  function addList(specs: readonly LineSpec[]): void {
    list = null;
    // An edit holds so many steps: a long list is several.
    for (let k = 0; k < specs.length; k += LINES_AN_EDIT)
      if (!change(addLines(session.plan, specs.slice(k, k + LINES_AN_EDIT)))) return;
    toast(says.added(specs.length, counted.line(specs.length)));
  }

  async function said(specs: readonly LineSpec[], line: Line | null): Promise<void> {
    const before = new Set(lines.map((l) => l.id));
    const done = change(line ? sayLine(plan, line, specs[0]) : addLines(plan, specs));
    editing = null;
    if (!done) return;
    const target = line?.id ?? resolve(session.plan).lines.find((l) => !before.has(l.id))?.id;
    if (!target) return;
    currentId = target;
    openId = target;
    await focusRow(target);
  }

  function edit(line: Line): void {
    if (specOf(plan, line)) editing = line;
    else toast(says.thisLineIsMoreThanWords);
    currentId = line.id;
  }

  /** Another line from the same source: its words are begun. */
  const branchOff = (line: Line): void => void say?.put(`from ${lineName(line)}, `, true);

  /** All ways of a line, side by side. */
  const compare = (line: Line): void => void goto(`/show/${show.id}/compare/${line.id}`);

  const inform = (line: Line): void => void (dialog = { kind: 'info', id: line.id, line: line.id });

  function build(line: Line): void {
    if (specOf(plan, line)) dialog = { kind: 'build', id: line.id, line: line.id };
    else toast(says.thisLineHasMoreInIt);
  }

  const typing = (event: Event): boolean =>
    dialog !== null ||
    list !== null ||
    (event.target instanceof HTMLElement && event.target.matches('input, select, textarea'));

  function oncopy(event: ClipboardEvent): void {
    if (typing(event) || !current || String(getSelection()) !== '') return;
    const text = copyText(plan, current);
    if (!text) return;
    event.clipboardData?.setData('text/plain', text);
    event.preventDefault();
    toast(says.copiedInWords(lineName(current)));
  }

  function onpaste(event: ClipboardEvent): void {
    if (typing(event)) return;
    const text = event.clipboardData?.getData('text/plain') ?? '';
    event.preventDefault();
    const pasted = pastedRows(text);
    const specs = pasted.map((row) => readRow(session.plan, row));
    // Lines in the words in which they are copied land as they are; all else is looked at first.
    if (specs.every((spec) => spec !== null)) {
      let added = 0;
      // One by one: a row may leave the line of the row before.
      for (const row of pasted) {
        const spec = readRow(session.plan, row);
        if (spec && change(addLines(session.plan, [spec]))) added++;
      }
      if (added > 0) toast(says.added(added, counted.line(added)));
    } else if (pasted.length === 1) void say?.put(pasted[0]);
    else list = text.slice(0, MOST_PASTED);
  }

  function copy(line: Line): void {
    const made = copyLine(plan, line);
    if (!made) toast(says.onlyALineFromASource);
    else if (change(made)) toast(says.duplicated(lineName(line)));
  }

  function remove(line: Line): void {
    const at = rows.indexOf(line);
    if (!change(deleteLine(plan, line))) return;
    if (openId === line.id) openId = null;
    const next = rows[Math.min(at, rows.length - 1)];
    currentId = next?.id ?? null;
    toast(says.deleted(lineName(line)), {
      action: { label: says.undo, onClick: show.undo }
    });
    if (next) void focusRow(next.id);
  }

  function apply(remedy: Remedy): void {
    const line = lines.find((l) => l.id === openId);
    if (line) applyOps(line, remedy.ops);
  }

  function applyOps(line: Line, ops: readonly Op[]): void {
    if (show.mayChange && live.includes(line.id)) dialog = { kind: 'live', line: line.id, ops };
    else applyNow(line, ops);
  }

  function applyNow(line: Line, ops: readonly Op[]): void {
    if (!change(applyRemedy(line, ops))) return;
    toast(says.appliedTo(lineName(line)), {
      action: { label: says.undo, onClick: show.undo }
    });
  }
</script>

<main>
  <h1 class="sr-only print:not-sr-only print:px-5 print:pt-4 print:text-[1.4em] print:font-bold">
    {says.lines(show.name)}
  </h1>
  {#if show.mayChange}
    <TypeField
      bind:this={say}
      onbuild={() => (dialog = { kind: 'new' })}
      {plan}
      {editing}
      ondone={(specs, line) => void said(specs, line)}
      onlist={() => (list = '')}
      oncancel={() => {
        editing = null;
        if (current) void focusRow(current.id);
      }}
    />
  {/if}
  {#if judging?.unjudged}
    <div class="px-5"><NotComputed failed={judging.unjudged} what={says.theLines} /></div>
  {/if}
  {#if judging?.failed}<p class="px-5 pt-2 text-error" role="alert">{judging.failed}</p>{/if}

  {#if lines.length === 0}
    <div class="px-5 py-16 text-center">
      <p class="text-[1.2em] font-semibold">{says.noLinesYet}</p>
      <p class="pt-1 text-quiet">
        {says.sayTheFirstOneAboveAs} <em>{says.guitarHumbucker6MActiveBox}</em>.
      </p>
    </div>
  {:else}
    <BoardHead
      count={lines.length}
      {counts}
      {mix}
      shown={rows.length}
      {filter}
      {sort}
      onfilter={(f) => (filter = f)}
      onsort={(by) => (sort = by)}
    />
    <ol class="border-primary max-[1200px]:border-t-2">
      {#each rows as line, k (line.id)}
        <li
          onfocusin={() => (currentId = line.id)}
          class="border-b border-base-300 {openId === line.id ? 'border-b-0' : ''}"
        >
          <LineRow
            {plan}
            {line}
            branch={branches.get(line.id) ?? null}
            bracket={openId === null ? bracketOf(rows, k) : null}
            report={reports.get(line.id)}
            open={openId === line.id}
            current={current?.id === line.id}
            ontoggle={() => void toggle(line)}
            ondevice={(id) => (dialog = { kind: 'device', id, line: line.id })}
            oncable={(id) => (dialog = { kind: 'cable', id, line: line.id })}
            oninfo={() => inform(line)}
            onbuild={() => build(line)}
            news={news.of(line.id)}
          />
          {#if openId === line.id}
            {#await import('$lib/show/line/OpenLine.svelte') then { default: OpenLine }}
              <OpenLine
                {plan}
                {line}
                branch={branches.get(line.id) ?? null}
                report={reports.get(line.id)}
                remedies={answers.remedies}
                hints={answers.hints}
                pair={pairs.find((p) => p.lines.includes(line.id)) ?? null}
                onset={(ops) => applyOps(line, ops)}
                {panel}
                loops={answers.loops}
                {tolerance}
                onpanel={look}
                ontolerance={() => {
                  const report = reports.get(line.id);
                  if (report) void tolerance.start(plan, line.id, `${line.id} ${report.key}`);
                }}
                influencesAt={(hz) => judging?.influences(plan, line.id, hz) ?? Promise.resolve([])}
                onapply={apply}
                onedit={() => edit(line)}
                oncopy={() => copy(line)}
                ondelete={() => remove(line)}
                oninfo={() => inform(line)}
                onbuild={() => build(line)}
                oncompare={() => compare(line)}
                onbranch={() => branchOff(line)}
              />
            {/await}
          {/if}
        </li>
      {/each}
    </ol>
    {#if rows.length === 0}
      <p class="px-5 py-10 text-center text-quiet">
        {says.noLineIsLikeThat}
        <button type="button" class="text-primary underline" onclick={() => (filter = null)}>{says.showAll}</button>
      </p>
    {/if}
  {/if}
</main>

{#if list !== null}
  {#await import('./ListDialog.svelte') then { default: ListDialog }}
    <ListDialog text={list} onadd={addList} onclose={() => (list = null)} />
  {/await}
{/if}
<BoardDialogs
  {dialog}
  onopen={(next) => (dialog = next)}
  {plan}
  {lines}
  onedit={change}
  onbuilt={(spec, line) => void said([spec], line)}
  onremedy={applyNow}
/>
