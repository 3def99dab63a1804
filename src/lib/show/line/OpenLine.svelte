<script lang="ts">
  import { BETWEEN } from '$core/words/screen/shown';
  import { check as checkSays } from '$core/words/screen/check';
  import { checkedText, partText } from '$core/words/check';
  import { line as says } from '$core/words/screen/line';
  import { useBoard } from '$lib/show/board/board-state.svelte';
  import { setInfo } from '$lib/show/session/edits';
  import { useShow } from '$lib/show/session/context';
  import { type LineReport, problems } from '$core/judge/judge';
  import { rank } from '$core/judge/types';
  import type { Line } from '$core/plan/lines';
  import { formatQuantity } from '$core/units/format';
  import { measure, sentence } from '$core/words/findings';
  import { othersText, remedyText } from '$core/words/remedies';
  import { needsSentence, partName } from '$core/words/routes';
  import { SEVERITY_NAMES } from '$core/words/names';
  import { why } from '$core/words/why';
  import { dateTime } from '$lib/ui/when';
  import Mark from '$lib/ui/Mark.svelte';
  import { SEVERITY_TEXT } from '$lib/ui/marks';
  import { Failed } from '$lib/show/session/failed';
  import NotComputed from '$lib/ui/NotComputed.svelte';
  import Corridor from './Corridor.svelte';
  import LineHints from './LineHints.svelte';
  import ResponseChart from './ResponseChart.svelte';

  const { line }: { line: Line } = $props();
  const show = useShow();
  const board = useBoard();
  const { plan, panel, tolerance } = $derived(board);
  const branch = $derived(board.branches.get(line.id) ?? null);
  const report = $derived<LineReport | undefined>(board.reports.get(line.id));
  const { remedies, hints, loops } = $derived(board.answers);
  /** The stereo pair that the line is a side of. */
  const pair = $derived(board.pairs.find((p) => p.lines.includes(line.id)) ?? null);

  /** How it was left in the check, here or last time. */
  const checked = $derived(board.checked.get(line.id));
  const found = $derived(report ? problems(report) : []);
  const hasBox = $derived(line.devices.length - (branch?.at ?? 0) > 2);
  /** What to tell of a line that has nothing wrong: the numbers one would ask for. */
  const good = (of: LineReport) =>
    of.findings.filter((f) => ['bridges', 'keeps-response', 'gain', 'headroom'].includes(f.code)).slice(0, 4);
  /** Nothing stands between source and input, and nothing is missed. */
  const plainDoes = $derived(
    line.devices.length === 2 && Boolean(report?.response) && found.every((f) => rank(f.severity) < rank('care'))
  );
  let shownWhy = $state<number | null>(null);
  const dangers = $derived(found.filter((f) => f.severity === 'danger'));
  /** A band is of one plan: once a value has changed it is no longer drawn. */
  const mine = $derived(report !== undefined && tolerance.of === `${line.id} ${report.key}`);
  const band = $derived(mine ? tolerance.result : null);
  const PANELS = [
    ['hum', 'H', says.hissAndHum],
    ['contacts', 'C', 'contacts'],
    ['tolerance', 'T', 'tolerance']
  ] as const;
  const name = $derived(line.info?.name ?? says.thisLine);
  const nameOf = (id: string): string => plan.lines[id]?.name ?? id;
  const list = $derived(remedies === null || remedies instanceof Failed ? [] : remedies);
</script>

<section class="border-b-2 border-primary bg-card pb-4" aria-label={says.unfolded(name)}>
  {#if report?.response}
    <div class="board-row">
      <div class="corridor-cell"><Corridor {report} from={branch?.at ?? 0} {hasBox} /></div>
      <div class="response-cell"><ResponseChart {report} {band} /></div>
    </div>
  {/if}
  {#if dangers.length > 0}
    <div class="mx-5 mt-2 rounded-[7px] border-2 border-danger px-3 py-2 max-sm:mx-3.5" role="note" data-caution>
      {#each dangers as f (f.code)}
        <p class="flex gap-2 leading-snug">
          <Mark severity="danger" /><span
            ><strong class="text-danger">{says.danger}</strong>
            {panel === null ? '' : sentence(f)}
            {why(f).reason}</span
          >
        </p>
      {/each}
    </div>
  {/if}
  {#if checked && panel === null}
    {@const text = checkedText(checked, (id) => partText(plan, line, id))}
    <p class="px-5 pt-2 leading-snug max-sm:px-3.5" data-checked>
      {checked.last === null
        ? checkSays.checkedBy(text, checked.by ? ` · ${checked.by}` : '', dateTime(checked.at))
        : checkSays.lastTime(checked.last, text)}
      <a class="text-primary underline" href="/show/{show.id}/check">{checkSays.openLineCheck}</a>
    </p>
  {/if}
  {#if report && panel === 'hum'}
    {#await import('./HumPanel.svelte') then { default: HumPanel }}<HumPanel
        {plan}
        {line}
        {report}
        {loops}
        showId={show.id}
      />{/await}
  {/if}
  {#if panel === 'contacts'}
    {#await import('./ContactsPanel.svelte') then { default: ContactsPanel }}<ContactsPanel
        {plan}
        {line}
        showId={show.id}
      />{/await}
  {/if}
  {#if report && panel === 'tolerance'}
    {#await import('./TolerancePanel.svelte') then { default: TolerancePanel }}
      <TolerancePanel
        {plan}
        showId={show.id}
        {report}
        run={tolerance}
        result={band}
        busy={tolerance.progress !== null && mine}
        onstart={() => board.tolerate(line)}
        influencesAt={(hz) => show.judging?.influences(plan, line.id, hz) ?? Promise.resolve([])}
      />
    {/await}
  {/if}
  <div
    class="grid grid-cols-2 gap-x-5 px-5 pt-2 max-lg:grid-cols-1 max-lg:gap-y-4 max-sm:px-3.5 {panel === null
      ? ''
      : 'hidden'}"
  >
    <div>
      <h2 class="heading">{found.length === 0 ? says.nothingIsWrong : says.whatIsWrong}</h2>
      {#if report && found.length === 0}
        <ul class="py-1.5 text-quiet">
          {#each good(report) as f, k (k)}<li class="py-0.5">{sentence(f)}</li>{/each}
        </ul>
      {/if}
      <ul>
        {#each found as f, k (k)}
          {@const told = why(f)}
          <li class="grid grid-cols-[22px_1fr_auto] items-start border-base-300 py-1.5 [&+li]:border-t">
            <span class="pt-0.5"
              ><Mark severity={f.severity} /><span class="sr-only">{SEVERITY_NAMES[f.severity]}: </span></span
            >
            <p class="font-semibold {f.severity === 'note' ? 'font-normal' : ''}" data-finding={f.code}>
              {sentence(f)}
            </p>
            <button
              type="button"
              class="px-2 text-quiet underline decoration-dotted hover:text-base-content"
              aria-expanded={shownWhy === k}
              onclick={() => (shownWhy = shownWhy === k ? null : k)}>{says.why}</button
            >
            {#if shownWhy === k}
              <div class="col-span-2 col-start-2 pt-0.5 pb-1 leading-snug">
                <p>{told.reason}</p>
                <p class="pt-1 text-quiet">{told.formula}</p>
                <p class="num pt-1 leading-relaxed text-quiet">
                  {#each told.inputs as input, i (i)}{#if i > 0}{BETWEEN}{/if}<span class="whitespace-nowrap"
                      >{input.name} <span class="text-base-content">{input.value}</span></span
                    >{/each}
                  <span class="whitespace-nowrap"> → <span class="text-base-content">{told.result}</span></span>
                </p>
                {#await import('$lib/learn/LessonLink.svelte') then { default: LessonLink }}<LessonLink
                    showId={show.id}
                    lineId={line.id}
                    code={f.code}
                  />{/await}
              </div>
            {/if}
          </li>
        {/each}
      </ul>
    </div>
    <div>
      <h2 class="heading flex gap-x-3">
        <span>{found.length === 0 ? says.whatToDoWithIt : says.whatWouldFixIt}</span>
        {#if report}<a class="ml-auto link font-normal" href="/show/{show.id}/listen?line={line.id}">{says.hearIt}</a
          >{/if}
      </h2>
      {#if plainDoes && report}
        <p class="py-1.5 leading-snug" data-no-box>
          <strong>{needsSentence([])}</strong>
          {says.plugLevelImpedanceAndBalanceAre(
            formatQuantity(
              'length',
              line.cables.reduce((sum, id) => sum + plan.cables[id].metres, 0)
            )
          )}
        </p>
      {/if}
      {#if found.length > 0}
        {#if remedies === null}
          <p class="py-2 text-quiet" aria-live="polite">{says.tryingRemediesOnTheNetwork}</p>
        {:else if remedies instanceof Failed}
          <NotComputed failed={remedies} what={says.remedies} />
        {:else if remedies.length === 0}
          <p class="py-2 text-quiet">
            {says.noChangeTriedHereAloneOr}<kbd class="key">W</kbd>{says.orEditTheLineInWords}
          </p>
        {/if}
        {#if list.length > 0 && list.every((r) => r.missing.length > 0)}
          <p class="pt-1.5" data-nothing-in-kit>
            {says.nothingInTheKitHelpsOne(list[0].missing.map(partName).join(' and '))}
          </p>
        {/if}
        <ol>
          {#each list as remedy, k (JSON.stringify(remedy.ops))}
            <li
              class="grid grid-cols-[26px_1fr_auto_auto] items-center gap-x-2 border-base-300 py-1.5 max-sm:grid-cols-[26px_1fr_auto] [&+li]:border-t"
            >
              <kbd class="key">{k + 1}</kbd>
              <span class="leading-snug"
                >{remedyText(remedy.what)}{#if remedy.missing.length > 0}<span class="block text-[0.93em] text-warning"
                    >{says.notInTheKit(remedy.missing.map(partName).join(', '))}</span
                  >{/if}{#if remedy.others.length > 0}<span class="block text-[0.93em] text-quiet" data-others
                    >{othersText(remedy, nameOf)}</span
                  >{/if}</span
              >
              <span
                class="num text-right text-[0.86em] leading-snug text-quiet max-sm:col-start-2 max-sm:row-start-2 max-sm:text-left"
              >
                {measure(remedy.before)} → {remedy.after ? measure(remedy.after) : says.gone}<br />
                <span class={SEVERITY_TEXT[remedy.severityAfter]}
                  >{remedy.leftAfter === 0
                    ? says.clean
                    : says.leftWorst(remedy.leftAfter, SEVERITY_NAMES[remedy.severityAfter])}</span
                >
              </span>
              <button
                type="button"
                class="btn btn-primary btn-sm {k === 0 ? '' : 'btn-outline'} max-sm:row-span-2"
                onclick={() => board.apply(remedy)}
                aria-label={says.applyRemedy(k + 1, remedyText(remedy.what))}>{says.apply}</button
              >
            </li>
          {/each}
        </ol>
      {/if}
      <LineHints {hints} {pair} {nameOf} onset={(ops) => board.applyOps(line, ops)} />
    </div>
  </div>
  <!-- What is remembered comes a moment later: below, so that nothing one is about to press moves away. -->
  <div class="grid grid-cols-2 items-start gap-x-5 px-5 max-lg:grid-cols-1 max-sm:px-3.5">
    {#if report && panel === null && show.mayChange && board.players}
      {@const crew = board.players}
      {#await import('$lib/players/InstrumentNote.svelte') then { default: InstrumentNote }}<InstrumentNote
          {crew}
          {plan}
          {line}
          onset={(ops) => board.applyOps(line, ops)}
          onkeep={(instrument) => void board.change(setInfo(plan, line, { instrument }))}
          pad="pt-3"
        />{/await}
    {/if}
    {#if report && panel === null && show.mayChange}
      {#await import('$lib/show/log/LastTime.svelte') then { default: LastTime }}<LastTime
          showId={show.id}
          {plan}
          {line}
          gain={report.gain}
          onset={(ops) => board.applyOps(line, ops)}
          pad="pt-3"
        />{/await}
    {/if}
  </div>
  <p class="no-print flex flex-wrap gap-x-4 gap-y-1 px-5 pt-3 text-quiet max-sm:px-3.5">
    {#each PANELS as [id, key, text] (id)}
      <button
        type="button"
        class="hover:text-base-content {panel === id ? 'font-semibold text-base-content underline' : ''}"
        aria-pressed={panel === id}
        onclick={() => board.look(id)}><kbd class="key">{key}</kbd> {text}</button
      >
    {/each}
    <span class="flex-1 max-sm:hidden"></span>
    <button type="button" class="hover:text-base-content" onclick={() => board.compare(line)}
      ><kbd class="key">W</kbd> {says.allWays}</button
    >
    <button type="button" class="hover:text-base-content" onclick={() => board.branchOff(line)}
      ><kbd class="key">A</kbd> {says.alsoTo}</button
    >
    <button type="button" class="hover:text-base-content" onclick={() => board.build(line)}
      ><kbd class="key">B</kbd> {says.buildByPointing}</button
    >
    <button type="button" class="hover:text-base-content" onclick={() => board.edit(line)}
      ><kbd class="key">E</kbd> {says.editInWords}</button
    >
    <button type="button" class="hover:text-base-content" onclick={() => board.inform(line)}
      ><kbd class="key">I</kbd> {says.nameChannel}</button
    >
    <button type="button" class="hover:text-base-content" onclick={() => board.copy(line)}
      ><kbd class="key">D</kbd> {says.duplicate}</button
    >
    <button type="button" class="hover:text-base-content" onclick={() => board.remove(line)}
      ><kbd class="key">{says.del}</kbd> {says.delete}</button
    >
  </p>
</section>
