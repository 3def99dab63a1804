<script lang="ts">
  import { board as says } from '$core/words/screen/board';
  import { modelAt } from '$core/plan/devices';

  import { CABLES } from '$core/gear/cables';
  import type { LineReport } from '$core/judge/judge';
  import { type Severity, worst } from '$core/judge/types';
  import { comesBack } from '$core/plan/branch';
  import type { Line } from '$core/plan/lines';
  import { formatNumber, formatQuantity } from '$core/units/format';
  import { verdict } from '$core/words/findings';
  import { branchShort, modelName, modelShort, SEVERITY_NAMES } from '$core/words/names';
  import { columnsOf } from './board';
  import { useBoard } from './board-state.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import { SEVERITY_TEXT } from '$lib/ui/marks';
  import Thread from '$lib/ui/Thread.svelte';

  interface Props {
    line: Line;
    /** The other side of its pair, where both are this one row. */
    second?: Line | undefined;
    /** Which half of a stereo pair's bracket stands beside it. */
    bracket: 'upper' | 'lower' | null;
  }
  const { line, second, bracket }: Props = $props();
  const board = useBoard();
  const plan = $derived(board.plan);
  /** Where it leaves another line. */
  const branch = $derived(board.branches.get(line.id) ?? null);
  const report = $derived<LineReport | undefined>(board.reportOf(line));
  /** Marks of every join come with what the browser has judged itself: a page that brought them would be twice as long. */
  const judged = $derived(board.reports.has(line.id) ? report : undefined);
  const open = $derived(board.openId === line.id);
  const current = $derived(board.current?.id === line.id);
  /** What others have done to it or are doing with it, for a moment. */
  const news = $derived(board.news.of(line.id));
  /** How it was left in the check of this show. */
  const left = $derived.by(() => {
    const checked = board.checked.get(line.id);
    return checked && checked.last === null && checked.left !== 'started' ? checked.left : null;
  });
  const SIGNS = { works: '✓', unread: '○', later: '↻', faulty: '✗' } as const;
  const toggle = (): void => void board.toggle(line);

  const parts = $derived(columnsOf(plan, line, branch?.at));
  const joint = $derived(
    parts.middle.length === 1 && modelAt(plan, parts.middle[0]).family === 'joint' ? parts.middle[0] : null
  );
  /** Closed there is room for two; the rest is counted. */
  const shown = $derived(open || parts.middle.length < 3 ? parts.middle : parts.middle.slice(0, 1));
  const stack = $derived(parts.middle.length > 1);
  const back = $derived(!branch && comesBack(plan, line));
  /** The socket by which a branch leaves. */
  const port = $derived(branch ? plan.cables[line.cables[branch.at]].from.port : '');
  const sourceText = $derived(
    parts.source === null
      ? ''
      : branch
        ? branchShort(plan.devices[parts.source].model, port)
        : `${back ? '↩ ' : ''}${modelShort(plan.devices[parts.source].model)}`
  );
  const sourceTitle = $derived(
    parts.source === null
      ? ''
      : branch
        ? says.leavesAtThe(plan.lines[branch.of]?.name ?? says.anotherLine, modelName(plan.devices[parts.source].model))
        : `${modelName(plan.devices[parts.source].model)}${back ? says.comingBackFromTheDesk : ''}`
  );
  /** What a cable between two boxes has to say, worst of its stitches. */
  const patchMark = (cable: string): Severity => worst(report?.marks[line.cables.indexOf(cable)] ?? []);

  function strokes(cable: string | null): 0 | 1 | 2 {
    if (!cable) return 0;
    const balanced = report?.findings.some((f) => f.code === 'balanced' && f.at === line.cables.indexOf(cable));
    return (balanced ?? CABLES[plan.cables[cable].kind].cores === 2) ? 2 : 1;
  }
  function label(cable: string | null): string {
    if (!cable) return '';
    const { metres, couplers, kind } = plan.cables[cable];
    const rest = couplers
      ? says.coupler(couplers)
      : kind === 'mini'
        ? says.n35Mm
        : kind === 'multicore'
          ? says.pairOfIt
          : '';
    return `${formatQuantity('length', metres)}${rest}`;
  }
  const show = (value: number | null | undefined): string =>
    value === null || value === undefined ? '–' : value <= -150 ? '−∞' : formatNumber(value);
  const numbers = $derived([
    { key: 'level', title: says.averageLevelAtTheInputDbu, value: report?.arrives, unit: 'dBu' },
    { key: 'gain', title: says.gainToTheWorkingLevelDb, value: report?.gain, unit: 'dB' },
    { key: 'headroom', title: says.leastRoomBetweenPeakAndClip, value: report?.room, unit: 'dB' },
    { key: 'snr', title: says.averageLevelOverTheHissAt, value: report?.snr, unit: 'dB' },
    { key: 'hum', title: says.averageLevelOverTheHumOf, value: report?.hum?.below, unit: 'dB' }
  ] as const);
  const severityName = $derived(report ? SEVERITY_NAMES[report.severity] : '');
  /** All of the row in one sentence, for who hears its name. */
  const described = $derived(
    report
      ? says.described(
          severityName,
          verdict(report),
          numbers.map(({ key, value, unit }) => `${says.numberNames[key]} ${show(value)} ${unit}`).join(', ')
        )
      : says.computing
  );
  const pair = $derived(line.info?.pair ?? '');
  const name = $derived(second ? pair : (line.info?.name ?? says.unnamed));
  const channel = $derived.by(() => {
    const [a, b] = [line.info?.channel, second?.info?.channel];
    return second ? `${a ?? '·'}/${b ?? '·'}` : (a ?? '·');
  });
</script>

<div class="board-row relative py-[3px] {open ? 'bg-card' : current ? 'bg-base-200/60' : ''}" data-line={line.id}>
  {#if bracket && board.openId === null}<span class="bracket bracket-{bracket}" title={says.pair(pair)}
      ><span class="sr-only">{says.pair2(pair)}</span></span
    >{/if}
  <button
    type="button"
    class="num no text-left text-quiet hover:text-base-content"
    tabindex={current ? 0 : -1}
    onclick={() => board.inform(line)}
    aria-label={says.nameAndChannelOf(name)}>{channel}</button
  >
  <div class="name flex min-w-0 items-center gap-1.5">
    <button
      type="button"
      class="min-w-0 truncate text-left font-semibold"
      tabindex={current ? 0 : -1}
      aria-expanded={open}
      data-open={line.id}
      {...{ 'aria-description': described }}
      title={name}
      onclick={toggle}>{name}</button
    >
    {#if second || (bracket === 'upper' && board.apart.has(pair))}
      <button
        type="button"
        class="key flex-none text-quiet hover:text-base-content"
        tabindex={current ? 0 : -1}
        aria-pressed={!second}
        title={second ? says.showBothSides(pair) : says.asOneRow(pair)}
        aria-label={second ? says.showBothSides(pair) : says.asOneRow(pair)}
        onclick={() => board.split(pair)}>{says.leftRight}</button
      >
    {/if}
    {#if left}<span
        class="flex-none text-[0.86em] {left === 'faulty'
          ? 'text-error'
          : left === 'later'
            ? 'text-warning'
            : 'text-primary'}"
        data-left={left}
        title={says.lineCheckSays[left]}
        ><span aria-hidden="true">{SIGNS[left]}</span><span class="sr-only">{says.lineCheckSays[left]}</span></span
      >{/if}
    {#if line.info?.locked}<span class="flex-none text-[0.86em] text-quiet" title={says.lockedStays}>{says.locked}</span
      >{/if}
  </div>
  <div class="strip-cell">
    <div class="strip">
      {#if parts.source}
        <span class={branch ? 'elbow' : 'min-w-0'}>
          <button
            type="button"
            class="chip"
            tabindex={current ? 0 : -1}
            title={sourceTitle}
            aria-label={branch || back ? sourceTitle : undefined}
            onclick={() => board.part('device', parts.source!, line)}>{sourceText}</button
          >
        </span>
      {:else}
        <button type="button" class="chip border-dashed text-quiet" tabindex={-1} onclick={toggle}
          >{says.noSource}</button
        >
      {/if}
      <Thread
        strokes={strokes(parts.lead)}
        at={parts.lead ? line.cables.indexOf(parts.lead) : -1}
        report={parts.lead ? judged : undefined}
        label={label(parts.lead)}
        join={says.leadCable}
        reachable={open}
        onpick={() => !open && toggle()}
        onedit={() => parts.lead && board.part('cable', parts.lead, line)}
      />
      {#if joint}
        <Thread
          strokes={1}
          label={modelShort(plan.devices[joint].model)}
          reachable={open}
          onedit={() => board.part('device', joint, line)}
        />
      {:else if parts.middle.length > 0}
        <span
          class={stack ? 'chips chips-stack' : 'chips'}
          style:--rows={shown.length < parts.middle.length ? 2 : shown.length}
        >
          {#each shown as id, k (id)}
            {@const patch = k > 0 ? parts.patches[k - 1] : null}
            <span class="chip-line">
              <button
                type="button"
                class="chip"
                tabindex={current ? 0 : -1}
                title={modelName(plan.devices[id].model)}
                onclick={() => board.part('device', id, line)}>{modelShort(plan.devices[id].model)}</button
              >
              {#if patch}
                <button
                  type="button"
                  class="patch"
                  tabindex={open ? 0 : -1}
                  title={says.beforeIt(label(patch), SEVERITY_NAMES[patchMark(patch)])}
                  aria-label={says.beforeIt(label(patch), SEVERITY_NAMES[patchMark(patch)])}
                  onclick={() => board.part('cable', patch, line)}><Mark severity={patchMark(patch)} /></button
                >
              {/if}
            </span>
          {/each}
          {#if shown.length < parts.middle.length}
            <button
              type="button"
              class="chip"
              tabindex={-1}
              title={parts.middle
                .slice(shown.length)
                .map((id) => modelName(plan.devices[id].model))
                .join(', ')}
              onclick={toggle}
            >
              {says.andMore(parts.middle.length - shown.length)}</button
            >
          {/if}
        </span>
      {:else}
        <Thread
          strokes={0}
          label={parts.lead && parts.input ? says.noBox : ''}
          hint={says.putInABox}
          reachable={open}
          onedit={() => board.build(line)}
        />
      {/if}
      <Thread
        strokes={strokes(parts.run)}
        at={parts.run ? line.cables.indexOf(parts.run) : -1}
        report={parts.run ? judged : undefined}
        label={label(parts.run)}
        join={says.runCable}
        reachable={open}
        onpick={() => !open && toggle()}
        onedit={() => parts.run && board.part('cable', parts.run, line)}
      />
      {#if parts.input}
        <button
          type="button"
          class="chip"
          tabindex={current ? 0 : -1}
          title={modelName(plan.devices[parts.input].model)}
          onclick={() => board.part('device', parts.input!, line)}>{modelShort(plan.devices[parts.input].model)}</button
        >
      {:else}
        <button type="button" class="chip border-dashed text-quiet" tabindex={-1} onclick={toggle}
          >{says.noInput}</button
        >
      {/if}
    </div>
  </div>
  {#each numbers as { key, title, value, unit } (key)}
    <span class="num text-right {key === 'level' ? 'arrives' : 'wide'}" {title}
      ><span class="sr-only">{says.numberNames[key]}</span> <span data-number={key}>{show(value)}</span>
      <span class="sr-only">{unit}</span></span
    >
  {/each}
  <span class="verdict flex min-w-0 items-center gap-2 {report ? SEVERITY_TEXT[report.severity] : 'text-quiet'}">
    {#if report}
      <Mark severity={report.severity} /><span class="sr-only">{severityName}:</span><span
        class="truncate {report.severity === 'clean' ? '' : 'font-semibold'}"
        data-verdict={report.severity}
        data-early={judged ? undefined : ''}>{verdict(report)}</span
      >
    {:else}{says.computing}{/if}
  </span>
  {#if news}<p class="news" data-news={line.id} title={news}><span class="news-text">{news}</span></p>{/if}
</div>
