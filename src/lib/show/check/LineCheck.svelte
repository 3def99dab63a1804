<script lang="ts">
  import { check as says } from '$core/words/screen/check';
  import { resolve } from '$core/plan/resolved';
  import type { Cause } from '$core/linecheck/cause';
  import { expectedOf, gainToWorking } from '$core/linecheck/expected';
  import { cautionsOf, type Step, stepsOf } from '$core/linecheck/gates';
  import { expectedPair, type PairCause, pairOff } from '$core/linecheck/pair';
  import type { VenueLine } from '$core/linecheck/venue';
  import { type Pair, pairsOf } from '$core/judge/pairs';
  import { placeOf } from '$core/paper/patch';
  import { type Line } from '$core/plan/lines';
  import { formatNumber } from '$core/units/format';
  import { CAUTION_TEXTS, differenceText } from '$core/words/check';
  import { onMount, untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { CheckEntry } from './check-entry.svelte';
  import CheckDiffering from './CheckDiffering.svelte';
  import CheckExplained from './CheckExplained.svelte';
  import CheckGates from './CheckGates.svelte';
  import CheckList from './CheckList.svelte';
  import StopButton from '$lib/show/session/StopButton.svelte';
  import CheckFoot from './CheckFoot.svelte';
  import CheckNotes from './CheckNotes.svelte';
  import CheckPair from './CheckPair.svelte';
  import CheckTop from './CheckTop.svelte';
  import CheckReadings from './CheckReadings.svelte';
  import { checkable, gainOff, humOff, isOff, type Order, orderOf, type Standing, standingOf } from './check-state';
  import { asFailed, type Computed } from '$lib/show/session/failed';
  import { useShow } from '$lib/show/session/context';
  import { lineName } from '$lib/show/session/edits';
  import type { MergedReading } from '$core/linecheck/merge';
  import type { PhotoOf, ReadingBy } from '$lib/protocol/readings';
  import { ReadingLog } from './reading-log.svelte';
  import WayInWords from '$lib/show/compare/WayInWords.svelte';

  const { readings: sent, photos }: { readings: readonly ReadingBy[]; photos: readonly PhotoOf[] } = $props();

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
  let noting = $state(false);
  let passed = $state.raw<ReadonlySet<Step>>(new Set());
  let causes = $state.raw<Computed<readonly Cause[]>>(null);
  let pairCauses = $state.raw<Computed<readonly PairCause[]>>(null);

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
    lines.find((l, k) => k > at && standing(l) !== 'right') ?? lines.find((l) => l !== line && standing(l) === 'open')
  );
  const nameOf = (id: string): string => plan.lines[id]?.name ?? id;
  const pair = $derived(line && pairOf(line));
  const pairHope = $derived(pair && expectedPair(pair));
  const off = $derived(hope ? isOff(hope, entry.read) : false);
  const over = $derived(hope ? gainOff(hope, gainToWorking(hope, entry.read)) : 0);
  const sidesOff = $derived(!!pairHope && pairOff(pairHope, entry.pair));
  const done = $derived(lines.filter((l) => ['right', 'off'].includes(standing(l))).length);

  const KEY = $derived(`guanxi-check-${show.id}`);
  onMount(() => {
    // A phone that was put away wakes where it was.
    try {
      const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as { line?: string; order?: Order };
      if (kept.line) currentId = kept.line;
      if (kept.order) order = kept.order;
    } catch {
      // Nothing kept, or nothing that can be read.
    }
    void readings.open(show.feed);
    return () => readings.close();
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
    passed = new Set();
    causes = null;
    if (line)
      try {
        localStorage.setItem(KEY, JSON.stringify({ line: line.id, order }));
      } catch {
        // A browser that keeps nothing checks lines all the same.
      }
  }

  // What is other than planned is explained by solving what it may be; the newest question counts.
  let asked = 0;
  $effect(() => {
    if (!line || !off || !show.judging) {
      causes = null;
      return;
    }
    const turn = ++asked;
    const { hum, content } = entry;
    const reading = { gainDb: hope && gainToWorking(hope, entry.read), hum, content };
    void show.judging
      .explain(plan, line.id, reading)
      .then((found) => turn === asked && (causes = found))
      .catch((reason: unknown) => turn === asked && (causes = asFailed(reason, 'explain')));
  });

  let pairAsked = 0;
  $effect(() => {
    if (!pair || !sidesOff || !show.judging) {
      pairCauses = null;
      return;
    }
    const turn = ++pairAsked;
    void show.judging
      .explainPair(plan, pair, entry.pair)
      .then((found) => turn === pairAsked && (pairCauses = found))
      .catch((reason: unknown) => turn === pairAsked && (pairCauses = asFailed(reason, 'explainPair')));
  });

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
  async function finish(): Promise<void> {
    if (!line) return;
    const to = next;
    const here = line;
    await readings.add(entry.reading(here.id, true, practice));
    if (practice) {
      const truth = venue?.find((v) => v.lineId === here.id)?.hidden;
      if (truth) toast(`${lineName(here)}: ${differenceText(truth, nameOf)}.`);
    }
    go(to);
  }
  /** What has been read so far is kept, though the line is not finished with. */
  async function leave(to: Line | undefined): Promise<void> {
    if (line && changed && show.mayChange) await readings.add(entry.reading(line.id, false, practice));
    go(to);
  }
  function readStandIn(): void {
    const v = venue?.find((l) => l.lineId === line?.id);
    if (!v) return;
    entry.readOff(v.reading);
  }
  const db = (value: number): string => formatNumber(value);
</script>

<main class="mx-auto max-w-[560px] px-4 pt-3 pb-32">
  <h1 class="sr-only">{says.lineCheck(show.name)}</h1>
  {#if all.length === 0}
    <p class="py-16 text-center text-quiet">
      {#if Object.keys(plan.lines).length === 0}{says.noLinesYetSoThereIs}
        <a class="text-primary underline" href="/show/{show.id}">{says.sayOne}</a>.
      {:else}{says.computingWhatToExpect}{/if}
    </p>
  {:else if line && hope}
    <CheckTop {lines} current={line} {standing} {readings} {done} {listed} onlist={(on) => (listed = on)} />
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
      {#each cautions as c (c)}
        <p
          class="mt-2 rounded-[9px] px-3 py-2 leading-snug {c === 'tingle'
            ? 'border border-base-300 text-quiet'
            : 'border-2 border-danger'}"
          role="note"
        >
          {CAUTION_TEXTS[c]}
        </p>
      {/each}
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
          causes={off ? causes : null}
          pairCauses={sidesOff ? pairCauses : null}
          {nameOf}
        />
      {/if}
      <CheckNotes {line} {entry} {readings} {noting} onnote={(on) => (noting = on)} />
      <div class="pt-3"><StopButton line={line.id} /></div>
      {#if before}
        <p class="pt-3 text-quiet" data-before>
          {says.readBefore(
            before.by ? ` by ${before.by}` : '',
            new Date(before.at).toLocaleString([], {
              dateStyle: 'medium',
              timeStyle: 'short'
            }),
            before.gainDb === null ? '' : says.db3(db(before.gainDb))
          )}
        </p>
      {/if}
    {/if}
    {#if !listed}
      <CheckFoot {lines} {at} {next} onleave={(to) => void leave(to)} onfinish={() => void finish()} />
    {/if}
  {/if}
</main>
