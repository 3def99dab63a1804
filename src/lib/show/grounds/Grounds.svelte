<script lang="ts">
  import { focusIfLost } from '$lib/ui/focus-if-lost';
  import { grounds as says } from '$core/words/screen/grounds';
  import { page } from '$app/state';
  import { mixOf } from '$core/judge/mix';
  import type { Measured } from '$core/trace/belief';
  import { asFailed, type Computed } from '$lib/show/session/failed';
  import type { Cure } from '$core/trace/cures';
  import type { EarthMap, EarthPoint } from '$core/trace/map';
  import { type Room, roomOf, ROOMS } from '$core/rig/audible';
  import { blankSupply } from '$core/plan/blank';
  import type { Edit, MeasuredRow } from '$core/plan/schema';
  import { rowOf } from '$core/trace/measured';
  import { serverNow } from '$lib/live/clock';
  import { CAUTION_TEXTS } from '$core/words/check';
  import { ROOM_NAMES } from '$core/words/names';
  import { cutText } from '$core/text/well-formed';
  import { cureText } from '$core/words/trace';
  import { unlessBusy } from '$lib/ui/keys';
  import { uuid } from '$lib/uuid';
  import { onMount } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { tinykeys } from 'tinykeys';
  import { useShow } from '$lib/show/session/context';
  import Cures from './Cures.svelte';
  import { below, earthName } from './ground-view';
  import Rings from './Rings.svelte';
  import GroundMap from './GroundMap.svelte';
  import ChassisPanel from './ChassisPanel.svelte';
  import LoopReading from './LoopReading.svelte';
  import { putSupply, setHostSupply, setMains, setMeasured, setRoom, setSupply } from '$lib/show/session/edits';
  import HumBars from '$lib/show/line/HumBars.svelte';
  import StopButton from '$lib/show/session/StopButton.svelte';
  import SupplyDialog from '$lib/show/dialogs/SupplyDialog.svelte';

  const show = useShow();
  const { session } = show;
  const plan = $derived(session.plan);
  const reports = $derived(show.judging?.reports ?? new Map());

  let map = $state.raw<EarthMap | null>(null);
  let cures = $state.raw<Computed<readonly Cure[]>>(null);
  let ringKey = $state<string | null>(null);
  /** A line that the board pointed at: its ring is the first to be shown. */
  let wanted = page.url.searchParams.get('line');
  let pointId = $state<string | null>(null);
  let supplyId = $state<string | null>(null);
  let pictured = $state(false);
  let failed = $state(false);
  /** Line whose hum is drawn below; the worst of the ring unless another is chosen. */
  let lineId = $state<string | null>(null);

  let turn = 0;
  $effect(() => {
    const now = ++turn;
    const of = plan;
    void show.judging
      ?.earth(of)
      .then((made) => now === turn && ((map = made), (failed = false)))
      .catch(() => now === turn && (failed = true));
  });
  const ring = $derived(map?.rings.find((r) => r.key === ringKey) ?? null);
  const point = $derived(map?.points.find((p) => p.id === pointId) ?? null);
  // The worst is what one came for; what is cured gives way to the next.
  $effect(() => {
    if (!map || ring) return;
    const line = wanted;
    ringKey = (map.rings.find((r) => line && r.lines.includes(line)) ?? map.rings[0])?.key ?? null;
    wanted = null;
  });
  let asked = 0;
  $effect(() => {
    const now = ++asked;
    cures = null;
    if (!ring || ring.severity === 'clean') return;
    void show.judging
      ?.cures(plan, ring)
      .then((found) => now === asked && (cures = found))
      .catch((reason: unknown) => now === asked && (cures = asFailed(reason, 'cures')));
  });

  const nameOf = (id: string): string => earthName(plan, map, id);
  const audible = $derived(map?.rings.filter((r) => r.severity !== 'clean').length ?? 0);
  const headline = $derived(
    !map
      ? says.lookingForRings
      : audible > 0
        ? says.willBeHeard(audible === 1 ? says.oneRing : says.soManyLoops(audible))
        : map.rings.length > 0
          ? says.noRingWillBeHeard
          : says.noRingAtAll
  );
  const heard = $derived(lineId ?? ring?.worst?.line ?? [...reports.keys()][0] ?? null);
  const report = $derived(heard ? reports.get(heard) : undefined);
  const mix = $derived(mixOf(reports.values()));

  let head = $state<HTMLElement>();
  /** A cure was applied: what was pressed is gone, and the work goes on with what is left. */
  let applied = false;
  $effect(() => {
    void [map, cures];
    if (applied) void focusIfLost(() => head);
  });
  const change = (edit: Edit | null): boolean => session.do(edit);
  function apply(cure: Cure): void {
    const subject = cure.line
      ? nameOf(cure.line)
      : cure.lines.length > 0
        ? cutText(cure.lines.map(nameOf).join(', '), 80)
        : says.theSupplies;
    applied = change({ id: uuid(), label: { code: 'remedy', subject }, ops: [...cure.ops] });
    if (applied) toast(says.done(cureText(cure.what)), { action: { label: says.undo, onClick: show.undo } });
  }
  function move(p: EarthPoint, supply: string): void {
    const [kind, id] = p.id.split(':');
    change(kind === 'host' ? setHostSupply(plan, id, supply) : setSupply(plan, id, nameOf(p.id), supply));
  }
  const take = (what: Measured): Promise<void> =>
    keep(`m${uuid().slice(0, 8)}`, rowOf(what, new Date(serverNow()).toISOString()));
  async function keep(id: string, row: MeasuredRow | null): Promise<void> {
    const then = await show.judging?.remeasured(plan, id, row).catch(() => null);
    if (then && change(setMeasured(plan, then)))
      toast(says.theMapBelievesItNow, { action: { label: says.undo, onClick: show.undo } });
  }
  function addSupply(): void {
    const id = `s${uuid().slice(0, 6)}`;
    if (change(putSupply(plan, id, blankSupply(says.supply2(Object.keys(plan.supplies).length + 1))))) supplyId = id;
  }
  onMount(() => {
    const when = (act: () => void) => unlessBusy(act);
    const step = (by: number) => (): void => {
      const list = map?.rings ?? [];
      const at = list.findIndex((r) => r.key === ringKey);
      ringKey = list[Math.min(Math.max(at + by, 0), list.length - 1)]?.key ?? null;
    };
    return tinykeys(window, {
      ...Object.fromEntries(
        [1, 2, 3, 4, 5, 6].map((n) => [
          String(n),
          when(() => Array.isArray(cures) && cures[n - 1] && apply(cures[n - 1] as Cure))
        ])
      ),
      ArrowDown: when(step(1)),
      ArrowUp: when(step(-1)),
      j: when(step(1)),
      k: when(step(-1))
    });
  });
</script>

<main class="px-5 pt-4 pb-16 max-sm:px-3.5">
  <div class="flex flex-wrap items-end justify-between gap-3">
    <div>
      <h1 bind:this={head} tabindex="-1" class="text-[1.5em] leading-tight font-bold outline-none" aria-live="polite">
        {headline}
      </h1>
      <p class="text-quiet">
        {says.threadsAreShieldsPostsAreMains}
      </p>
    </div>
    <div class="flex flex-wrap items-center gap-2">
      <label class="flex items-center gap-2 text-quiet"
        >{says.mains}
        <select
          class="select w-24 select-sm"
          value={plan.policy.mainsHz}
          onchange={(e) => change(setMains(plan, Number(e.currentTarget.value) as 50 | 60))}
        >
          <option value={50}>{says.n50Hz}</option>
          <option value={60}>{says.n60Hz}</option>
        </select>
      </label>
      <label class="flex items-center gap-2 text-quiet"
        >{says.playedIn}
        <select
          class="select w-28 select-sm"
          value={roomOf(plan.policy)}
          onchange={(e) => change(setRoom(plan, e.currentTarget.value as Room))}
        >
          {#each ROOMS as room (room)}<option value={room}>{ROOM_NAMES[room]}</option>{/each}
        </select>
      </label>
      <button type="button" class="btn btn-sm" onclick={addSupply}>{says.addASupply}</button>
    </div>
  </div>
  {#if plan.policy.outdoors}
    <p class="mt-2 border-l-4 border-danger pl-3" role="note">{CAUTION_TEXTS.outdoors}</p>
  {/if}
  {#if failed}
    <p class="py-10 text-center" role="alert">{says.theRingsCouldNotBeComputed}</p>
  {:else if map && map.points.length === 0}
    <p class="py-14 text-center text-quiet">
      {says.noCompleteLineYetSoThere} <a class="text-primary underline" href="/show/{show.id}">{says.sayOne}</a>.
    </p>
  {:else if map}
    <div class="mt-3 grid gap-x-8 gap-y-5 lg:grid-cols-[minmax(0,1fr)_340px]">
      <div class="min-w-0 max-lg:order-last">
        <button
          type="button"
          class="btn mb-2 w-full sm:hidden"
          aria-expanded={pictured}
          onclick={() => (pictured = !pictured)}>{pictured ? says.hideThePicture : says.showThePicture}</button
        >
        <div class={pictured ? '' : 'max-sm:hidden'}>
          <GroundMap
            {plan}
            {map}
            ring={ringKey}
            point={pointId}
            {nameOf}
            onring={(key) => (ringKey = key)}
            onpoint={(id) => (pointId = pointId === id ? null : id)}
            onsupply={(id) => (supplyId = id)}
            onmove={move}
          />
        </div>
        {#if report?.hum}
          <div class="mt-3 flex flex-wrap items-center justify-between gap-2">
            <h2 class="heading">
              {says.whatWouldHearByHarmonicUnder(nameOf(report.id), below(report.hum.below))}
            </h2>
            <select
              class="select w-52 select-sm"
              aria-label={says.lineWhoseHumIsShown}
              value={report.id}
              onchange={(e) => (lineId = e.currentTarget.value)}
            >
              {#each [...reports.values()].filter((r) => r.hum) as r (r.id)}<option value={r.id}>{nameOf(r.id)}</option
                >{/each}
            </select>
          </div>
          <HumBars spectrum={report.hum.spectrum} mainsHz={plan.policy.mainsHz} />
        {/if}
        {#if mix.hum !== null}
          <p class="pt-2 text-quiet" data-mix>
            {says.allTogetherOnTheMixHum(mix.channels)}
            <span class="num text-base-content">{below(mix.hum)}</span>
            {says.underOneChannelsPlayingAddedAs}{#if mix.hiss !== null}{says.hiss}
              <span class="num text-base-content">{below(mix.hiss)}</span>{says.addedAsPower}{/if}.
          </p>
        {/if}
      </div>
      <div class="grid content-start gap-4">
        <Rings rings={map.rings} chosen={ringKey} {nameOf} onpick={(key) => ((ringKey = key), (lineId = null))} />
        {#if ring && ring.severity !== 'clean'}<Cures {ring} {cures} {nameOf} onapply={apply} />{/if}
        {#if point}
          <ChassisPanel
            {plan}
            {map}
            {point}
            name={nameOf(point.id)}
            {nameOf}
            onedit={change}
            onclose={() => (pointId = null)}
          />
        {/if}
        <LoopReading {plan} {map} {nameOf} onread={(what) => void take(what)} onset={(id, row) => void keep(id, row)} />
        <p class="leading-snug text-quiet">
          {says.mainsEarthStaysConnectedIfSomeone}
        </p>
        <StopButton />
      </div>
    </div>
  {/if}
</main>

{#if supplyId && plan.supplies[supplyId]}
  <SupplyDialog {plan} id={supplyId} onedit={change} onclose={() => (supplyId = null)} />
{/if}
