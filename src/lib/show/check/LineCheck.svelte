<script lang="ts">
  import { check as says } from '$core/words/screen/check';
  import { resolve } from '$core/plan/resolved';
  import { expectedOf, gainToWorking } from '$core/linecheck/expected';
  import { cautionsOf, type Step, stepsOf } from '$core/linecheck/gates';
  import { expectedPair, pairOff } from '$core/linecheck/pair';
  import type { VenueLine } from '$core/linecheck/venue';
  import { type Pair, pairsOf } from '$core/judge/pairs';
  import { placeOf } from '$core/paper/patch';
  import { type Line } from '$core/plan/lines';
  import { anythingRead, type LineOutcome } from '$core/linecheck/outcome';
  import { differenceText, partText } from '$core/words/check';
  import { onMount, tick, untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { CheckEntry } from './check-entry.svelte';
  import CheckAhead from './CheckAhead.svelte';
  import CheckBefore from './CheckBefore.svelte';
  import CheckDiffering from './CheckDiffering.svelte';
  import CheckExplained from './CheckExplained.svelte';
  import CheckFaulty from './CheckFaulty.svelte';
  import CheckGates from './CheckGates.svelte';
  import CheckList from './CheckList.svelte';
  import StopButton from '$lib/show/session/StopButton.svelte';
  import CheckFoot from './CheckFoot.svelte';
  import CheckNotes from './CheckNotes.svelte';
  import CheckPair from './CheckPair.svelte';
  import CheckTop from './CheckTop.svelte';
  import CheckReadings from './CheckReadings.svelte';
  import {
    checkable,
    FINISHED,
    gainOff,
    humOff,
    isOff,
    type Order,
    orderOf,
    type Standing,
    standingOf
  } from './check-state';
  import { keepPlace, keptPlace } from './check-place';
  import { useShow } from '$lib/show/session/context';
  import { lineName } from '$lib/show/session/edits';
  import type { MergedReading } from '$core/linecheck/merge';
  import type { Reading } from '$core/linecheck/reading';
  import type { PhotoOf, ReadingBy } from '$lib/protocol/readings';
  import { Explaining } from './explaining.svelte';
  import { FailedUnits } from '$lib/show/faulty/failed-units.svelte';
  import { clipsText, traceAddress } from './handing-on';
  import { ReadingLog } from './reading-log.svelte';
  import WayInWords from '$lib/show/compare/WayInWords.svelte';

  interface Props {
    readings: readonly ReadingBy[];
    photos: readonly PhotoOf[];
  }
  const { readings: sent, photos }: Props = $props();

  const show = useShow();
  const plan = $derived(show.session.plan);
  const reports = $derived(show.judging?.reports ?? new Map());
  const readings = untrack(() => new ReadingLog(show.id, { readings: sent, photos }, show.rows));

  let practice = $state(false);
  let seed = $state(1);
  let venue = $state.raw<readonly VenueLine[] | null>(null);
  let order = $state<Order>('channel');
  let currentId = $state<string | null>(null);
  let listed = $state(false);
  const entry = new CheckEntry();
  const failed = untrack(() => new FailedUnits(show));
  let noting = $state(false);
  /** It is being asked which part is faulty. */
  let faulting = $state(false);
  let passed = $state.raw<ReadonlySet<Step>>(new Set());

  const all = $derived(checkable(plan, resolve(plan).lines, reports));
  const expected = $derived(new Map(all.map((l) => [l.id, expectedOf(plan, l, reports.get(l.id)!)])));
  const pairs = $derived(pairsOf(plan, all, reports));
  const pairOf = (l: Line): Pair | undefined => pairs.find((p) => p.lines.includes(l.id));
  const standing = (l: Line): Standing => {
    const two = pairOf(l);
    return standingOf(expected.get(l.id)!, readings.of(l.id, practice), two && expectedPair(two));
  };
  // Order is taken anew when it is chosen or a line is left, not while one is being read.
  const lines = $derived(orderOf(all, order, (l) => placeOf(plan, l), standing));
  const line = $derived(lines.find((l) => l.id === currentId) ?? lines[0]);
  const at = $derived(line ? lines.indexOf(line) : -1);
  const before = $derived(line ? readings.of(line.id, practice) : undefined);
  const hope = $derived(line ? expected.get(line.id)! : null);
  const steps = $derived(line ? stepsOf(plan, line).filter((s) => s !== 'gain-set') : []);
  const cautions = $derived(line ? cautionsOf(plan, line) : []);
  const next = $derived(
    lines.find((l, k) => k > at && !FINISHED.has(standing(l))) ??
      lines.find((l) => l !== line && standing(l) === 'open')
  );
  const nameOf = (id: string): string => plan.lines[id]?.name ?? id;
  const pair = $derived(line && pairOf(line));
  const pairHope = $derived(pair && expectedPair(pair));
  const off = $derived(hope ? isOff(hope, entry.read) : false);
  const over = $derived(hope ? gainOff(hope, gainToWorking(hope, entry.read)) : 0);
  const sidesOff = $derived(!!pairHope && pairOff(pairHope, entry.pair));
  const done = $derived(lines.filter((l) => FINISHED.has(standing(l))).length);
  const unread = $derived(!anythingRead(entry.read));
  const clips = $derived(line && entry.content === 'distorted' ? clipsText(plan, reports.get(line.id)!) : null);
  const traceAt = $derived(
    line ? traceAddress(show.id, line, lines, expected, (l) => readings.of(l.id, practice)?.hum ?? null) : ''
  );

  onMount(() => {
    const kept = keptPlace(show.id);
    if (kept.line) currentId = kept.line;
    if (kept.order) order = kept.order;
    void readings.open(show.feed);
    failed.open();
    return () => {
      readings.close();
      failed.close();
    };
  });

  // Another line, or another desk: what was read of it before is where one goes on from.
  let shown = '';
  $effect(() => {
    const key = line ? `${line.id} ${practice} ${seed}` : '';
    const now = before;
    if (key === untrack(() => shown)) return untrack(() => entry.follow(now));
    shown = key;
    untrack(() => take(now));
  });
  $effect(() => void (show.at = line?.id ?? null));
  function take(r: MergedReading | undefined): void {
    entry.take(r);
    noting = entry.note !== '';
    faulting = false;
    passed = new Set();
    if (line) keepPlace(show.id, { line: line.id, order });
  }

  const explaining = new Explaining(
    () => (show.judging ? { judging: show.judging, plan } : null),
    () => {
      if (!line || !off) return null;
      const { hum, content, meter, peakDb } = entry;
      return {
        lineId: line.id,
        reading: { gainDb: hope && gainToWorking(hope, entry.read), hum, content, meter, peakDb }
      };
    },
    () => (pair && sidesOff ? { pair, read: entry.pair } : null)
  );

  $effect(() => {
    if (!practice || !show.judging) return;
    const of = seed;
    void show.judging.venue(plan, of).then((v) => of === seed && (venue = v));
  });

  const changed = $derived(entry.changed);
  function go(to: Line | undefined): void {
    listed = false;
    if (to) currentId = to.id;
    window.scrollTo({ top: 0 });
  }
  async function finish(outcome: LineOutcome): Promise<void> {
    if (!line) return;
    const to = next;
    const here = line;
    entry.outcome = outcome;
    await readings.add(entry.reading(here.id, outcome.is === 'works', practice));
    if (practice) {
      const truth = venue?.find((v) => v.lineId === here.id)?.hidden;
      if (truth) toast(`${lineName(here)}: ${differenceText(truth, nameOf)}.`, { position: 'top-center' });
    }
    go(to);
  }
  /** What is faulty is written down, and goes out of the kit where it is of the kit. */
  async function fault(part: string | undefined): Promise<void> {
    if (!line) return;
    const here = line;
    const what = part === undefined || practice ? undefined : (plan.devices[part] ?? plan.cables[part]);
    await finish(part === undefined ? { is: 'faulty' } : { is: 'faulty', part });
    if (what && part !== undefined) failed.fail(what, here, partText(plan, here, part) ?? '');
  }
  /** What has been read so far is kept, though the line is not finished with. */
  async function leave(to: Line | undefined): Promise<void> {
    if (line && changed && show.mayChange) await readings.add(entry.reading(line.id, false, practice));
    go(to);
  }
  /** What a reading said stands in the form again, on its line. */
  async function again(r: Reading): Promise<void> {
    go(lines.find((l) => l.id === r.lineId));
    await tick();
    entry.readOff(r);
    entry.note = r.note ?? entry.note;
    noting = entry.note !== '';
  }
  function readStandIn(): void {
    const v = venue?.find((l) => l.lineId === line?.id);
    if (!v) return;
    entry.readOff(v.reading);
    entry.meter = v.meter;
  }
</script>

<main class="mx-auto max-w-[560px] px-4 pt-3 pb-44">
  <h1 class="sr-only">{says.lineCheck(show.name)}</h1>
  {#if all.length === 0}
    <p class="py-16 text-center text-quiet">
      {#if Object.keys(plan.lines).length === 0}{says.noLinesYetSoThereIs}
        <a class="text-primary underline" href="/show/{show.id}">{says.sayOne}</a>.
      {:else}{says.computingWhatToExpect}{/if}
    </p>
  {:else if line && hope}
    <CheckTop
      {lines}
      current={line}
      {standing}
      {readings}
      {done}
      {listed}
      onlist={(on) => (listed = on)}
      onagain={(r) => void again(r)}
    />
    {#if listed}
      <CheckList
        {lines}
        current={line}
        {standing}
        readingOf={(l) => readings.of(l.id, practice)}
        {order}
        {practice}
        {seed}
        onorder={(by) => (order = by)}
        onpractice={(on) => (practice = on)}
        onseed={(n) => (seed = n)}
        onpick={(l) => void leave(l)}
      />
    {:else}
      <h2 class="text-[1.9em] leading-tight font-bold" data-line-name>{lineName(line)}</h2>
      <p class="pb-2 text-quiet">
        {line.info?.channel ? says.channel(line.info.channel) : says.noChannel} · {placeOf(plan, line)}{practice
          ? says.standIn(seed)
          : ''}
      </p>
      <WayInWords {plan} {line} />
      <CheckAhead {line} report={reports.get(line.id)!} {cautions} last={readings.lastOf(line.id)} />
      {#if !practice && show.mayChange && !readings.lastOf(line.id)}
        {#await import('$lib/show/log/LastTime.svelte') then { default: LastTime }}<LastTime
            showId={show.id}
            {plan}
            {line}
            gain={hope.gain?.usual ?? null}
            onset={null}
            pad="mt-2 border-l-4 border-primary pl-3"
          />{/await}
      {/if}
      <CheckGates {steps} {passed} onpass={(now) => (passed = now)} />
      {#if practice}
        <button
          type="button"
          class="btn mt-2 min-h-12 w-full"
          disabled={!venue || !steps.every((s) => passed.has(s))}
          onclick={readStandIn}
          >{steps.every((s) => passed.has(s)) ? says.readItOff : says.stepsFirstThenReadItOff}</button
        >
      {/if}
      <CheckReadings {entry} {hope} />
      {#if before}<CheckDiffering {entry} said={before.said} />{/if}
      {#if pair && pairHope}
        <CheckPair {entry} {pair} hope={pairHope} other={nameOf(pair.lines.find((id) => id !== line.id) ?? '')} />
      {/if}
      {#if off || sidesOff}
        <CheckExplained
          {over}
          moreHum={humOff(hope, entry.hum)}
          pairOff={sidesOff}
          causes={explaining.causes}
          pairCauses={explaining.pairCauses}
          {nameOf}
          {clips}
          wrong={entry.content !== null && entry.content !== 'right'}
          {traceAt}
          onfound={(text) => {
            entry.note = [entry.note.trim(), says.itWas(text)].filter((t) => t !== '').join(' ');
            noting = true;
          }}
        />
      {/if}
      <CheckNotes {line} {entry} {readings} {noting} onnote={(on) => (noting = on)} />
      {#if faulting}
        <CheckFaulty {line} onfault={(part) => void fault(part)} oncancel={() => (faulting = false)} />
      {/if}
      <div class="pt-3"><StopButton line={line.id} /></div>
      {#if before}<CheckBefore reading={before} />{/if}
    {/if}
    {#if !listed}
      <CheckFoot
        {lines}
        {at}
        {next}
        {unread}
        noted={entry.note.trim() !== ''}
        onleave={(to) => void leave(to)}
        onfinish={(outcome) => void finish(outcome)}
        onfaulty={() => (faulting = true)}
      />
    {/if}
  {/if}
</main>
{#if failed.which}
  {#await import('$lib/show/faulty/WhichUnit.svelte') then { default: WhichUnit }}<WhichUnit {failed} />{/await}
{/if}
