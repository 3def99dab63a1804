<script lang="ts">
  import { listen as listenSays } from '$core/words/screen/listen';
  import { handOver } from '$lib/show/listen/handed';
  import { counted } from '$core/words/screen/counted';
  import { compare as says } from '$core/words/screen/compare';
  import { resolve } from '$core/plan/resolved';
  import { TYPED_BUT_TICKS, unlessBusy } from '$lib/ui/keys';
  import { goto } from '$app/navigation';
  import type { Route } from '$core/advise/route';
  import { pickOf, QUESTIONS } from '$core/advise/schools';
  import { kitFor } from '$core/advise/stock';
  import { rank } from '$core/judge/types';
  import { settingsAt } from '$core/plan/devices';
  import { formatQuantity } from '$core/units/format';
  import { sentence } from '$core/words/findings';
  import { EXPOSURE_NAMES, modelName, WANT_NAMES } from '$core/words/names';
  import { needsSentence, schoolName, standing, wayShort } from '$core/words/routes';
  import { onMount, tick } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { tinykeys } from 'tinykeys';
  import type { Compared } from './advise.worker';
  import { Advising } from './advising.svelte';
  import { useShow } from '$lib/show/session/context';
  import { lineName, setInfo, useRoute } from '$lib/show/session/edits';
  import RouteOverlay from './RouteOverlay.svelte';
  import RouteRow from './RouteRow.svelte';

  /** As many ways as are still told apart on one chart. */
  const MOST_LAID = 4;

  interface Props {
    lineId: string;
  }
  const { lineId }: Props = $props();

  const when = (act: () => void) => unlessBusy(act, TYPED_BUT_TICKS);
  const show = useShow();
  const { session } = show;
  const plan = $derived(session.plan);
  const line = $derived(resolve(plan).line(lineId));
  const back = $derived(`/show/${show.id}`);
  /** Ways are of the plan they were computed for: another plan may no longer have their devices. */
  const search = new Advising<Compared & { plan: typeof plan }>();
  let anything = $state(false);
  let all = $state(false);
  let current = $state(0);

  const owned = $derived(kitFor(plan, show.crewKit));
  const kit = $derived(anything ? null : owned);
  const routes = $derived(search.result?.routes ?? []);
  const needs = $derived(search.result?.needs ?? null);
  /** Ways worth a look: good ones that nothing beats, the one there is now, and what everybody would ask about. */
  const WELL_KNOWN = ['direct', 'active', 'active-10m', 'passive', 'media'];
  const top = $derived(
    routes.filter(
      (r) =>
        r.present ||
        (r.beatenBy === null && rank(r.report.severity) <= rank('care')) ||
        (WELL_KNOWN.includes(r.way.id) && routes.find((other) => other.way.id === r.way.id) === r)
    )
  );
  const rest = $derived(routes.filter((r) => !top.includes(r)));
  const beaten = $derived(rest.filter((r) => r.beatenBy !== null).length);
  const shown = $derived(all ? [...top, ...rest] : top);
  /** Keys of the ways that are laid over each other: the best and the one there is, until somebody chooses. */
  let chosen = $state.raw<readonly string[] | null>(null);
  // What a microphone hears is not what a pickup does: only where both take the same sound is the rest a matter of the line.
  const sameSource = (a: Route, b: Route): boolean => a.way.source === b.way.source;
  const laidKeys = $derived(
    chosen ??
      [
        shown[0],
        shown.find((r, k) => k > 0 && r.present) ?? shown.find((r, k) => k > 0 && sameSource(shown[0], r))
      ].flatMap((r) => r?.key ?? [])
  );
  /** Those that are laid over each other, to the ear; the plan as it is stands beside them anyway. */
  const hear = (): Promise<void> =>
    goto(
      handOver(
        show.id,
        lineId,
        laid.filter(({ route }) => !route.present).map(({ route }) => ({ name: wayShort(route), ops: [...route.ops] }))
      )
    );
  const laid = $derived(
    shown.flatMap((route, place) => (laidKeys.includes(route.key) && route.report.response ? [{ route, place }] : []))
  );
  function lay(key: string, on: boolean): void {
    // One more than there is room for takes the place of the one that was ticked first.
    chosen = on ? [...laidKeys, key].slice(-MOST_LAID) : laidKeys.filter((k) => k !== key);
  }
  const metres = $derived(line ? line.cables.reduce((sum, id) => sum + plan.cables[id].metres, 0) : 0);
  const notes = $derived(line ? settingsAt(plan, line.devices[0]).notes : null);

  const taught = $derived(
    QUESTIONS.box.flatMap((option) => {
      const now = search.result?.plan;
      const pick = line && now && option !== 'computed' ? pickOf(now, line, routes, 'box', option) : null;
      return pick ? [{ option, pick }] : [];
    })
  );

  // The plan may change under the comparison: another way is put in, something is undone.
  $effect(() => {
    const [now, of, from] = [plan, lineId, kit];
    void search.run(async (api) => ({ ...(await api.compare(now, of, from)), plan: now }));
  });

  onMount(() => {
    const stop = tinykeys(window, {
      Escape: when(() => void goto(back)),
      l: when(lock),
      a: when(() => (all = !all)),
      ArrowDown: when(() => void step(1)),
      j: when(() => void step(1)),
      ArrowUp: when(() => void step(-1)),
      k: when(() => void step(-1)),
      ...Object.fromEntries([1, 2, 3, 4, 5, 6, 7, 8, 9].map((n) => [String(n), when(() => use(shown[n - 1]))]))
    });
    return () => {
      stop();
      search.cancel();
    };
  });

  async function step(by: number): Promise<void> {
    current = Math.min(Math.max(current + by, 0), shown.length - 1);
    await tick();
    document.querySelector<HTMLElement>(`[data-way="${current}"]`)?.focus();
  }

  function use(route: Route | undefined): void {
    if (!route || !line || route.present || search.result?.plan !== plan) return;
    if (!session.do(useRoute(line, route.ops))) return;
    toast(`${lineName(line)}: ${wayShort(route)}.`, { action: { label: says.undo, onClick: show.undo } });
    void goto(back);
  }

  function lock(): void {
    if (!line) return;
    const locked = !line.info?.locked;
    session.do(setInfo(plan, line, { locked: locked || undefined }));
    toast(locked ? says.staysAsItIsInEvery(lineName(line)) : says.mayBeChangedAgain(lineName(line)));
  }
</script>

<main class="pb-24">
  {#if !line}
    <p class="px-5 py-16 text-center">
      {says.thisLineIsNoLongerThere} <a class="text-primary underline" href={back}>{says.backToTheLines}</a>
    </p>
  {:else}
    <div class="flex flex-wrap items-baseline gap-x-4 px-5 pt-4 max-sm:px-3.5">
      <h1 class="text-[1.35em] font-bold">
        {says.to(lineName(line), modelName(plan.devices[line.id].model), formatQuantity('length', metres))}
      </h1>
      <p class="text-quiet">
        {WANT_NAMES[line.info?.want ?? 'direct']}, {EXPOSURE_NAMES[
          line.info?.exposure ?? 'normal'
        ]}{#if notes}{says.playsTo(
            formatQuantity('frequency', notes.low),
            formatQuantity('frequency', notes.high)
          )}{/if}{line.info?.locked ? says.locked : ''}
      </p>
      <a class="link" href="/show/{show.id}/listen?line={line.id}">{says.hearThem}</a>
      <span class="ml-auto flex gap-1" role="group" aria-label={says.whatMayBeUsed}>
        <button
          type="button"
          class="rounded-full px-3 py-0.5 {!anything && owned ? 'bg-primary text-primary-content' : 'bg-base-200'}"
          aria-pressed={!anything && owned !== null}
          disabled={!owned}
          onclick={() => (anything = false)}>{says.fromTheKit}</button
        >
        <button
          type="button"
          class="rounded-full px-3 py-0.5 {anything || !owned ? 'bg-primary text-primary-content' : 'bg-base-200'}"
          aria-pressed={anything || !owned}
          onclick={() => (anything = true)}>{says.anything}</button
        >
      </span>
    </div>
    <p class="px-5 pt-1 pb-2 max-sm:px-3.5" data-needs>
      {#if needs}
        <strong>{needsSentence(needs.needed.map((n) => n.need))}</strong>
        {needs.needed
          .slice(0, 2)
          .map(({ finding }) => sentence(finding))
          .join(' ')}
      {:else if search.progress !== null}
        <span class="text-quiet" role="status">{says.computingEveryWayOnTheNetwork}</span>
      {/if}
    </p>
    <p class="sr-only" role="status">{search.result ? says.waysFound(routes.length) : ''}</p>
    {#if search.failed}<p class="px-5 text-error" role="alert">{search.failed}</p>{/if}
    {#if search.result && routes.length === 0}
      <p class="px-5 py-8 text-quiet">{says.nothingToCompareTheLineIs}</p>
    {/if}
    {#if shown.length > 0}
      <div class="route-row board-head border-b-2 border-primary pb-1.5 text-[0.93em] text-quiet max-[1200px]:hidden!">
        <span></span>
        <div class="strip">
          <span>{says.source}</span><span class="text-center">{says.lead}</span><span>{says.box}</span><span
            class="text-center">{says.run}</span
          ><span>{says.input}</span>
        </div>
        <span class="whitespace-nowrap">{says.n20Hz20Khz}</span>
        <span class="text-right">{says.arrives}</span>
        <span class="text-right">{says.gain}</span>
        <span class="text-right">{says.room}</span>
        <span class="text-right">{says.hiss}</span>
        <span class="text-right">{says.hum}</span>
        <span>{says.whatItComesTo}</span>
        <span></span>
      </div>
      <ol aria-label={says.waysBestFirst}>
        {#each shown as route, place (route.key)}
          <li class="border-b border-base-300" onfocusin={() => (current = place)}>
            <RouteRow
              plan={search.result?.plan ?? plan}
              {route}
              {place}
              fromKit={kit !== null}
              current={current === place}
              onpick={() => (current = place)}
              onuse={() => use(route)}
              laid={laidKeys.includes(route.key)}
              onlay={(on) => lay(route.key, on)}
            />
          </li>
        {/each}
      </ol>
      {#if rest.length > 0}
        <p class="px-5 py-3 text-quiet max-sm:px-3.5">
          {says.moreOfThemBeatenOnEvery(rest.length, counted.way(rest.length), beaten)}
          <button type="button" class="text-primary underline" aria-expanded={all} onclick={() => (all = !all)}
            >{all ? says.foldThemAway : says.showThem}</button
          >
        </p>
      {/if}
    {/if}
    {#if laid.length > 0}
      <p class="px-5 pt-2 max-sm:px-3.5">
        <button type="button" class="link" onclick={() => void hear()}>{listenSays.hearThem}</button>
      </p>
      <RouteOverlay ways={laid} />
    {/if}
    {#if line && routes.length > 0}
      <section class="px-5 pt-2 max-sm:px-3.5" aria-labelledby="schools">
        <h2 class="heading" id="schools">{says.whatTheSchoolsSay}</h2>
        <ul class="grid grid-cols-2 gap-x-8 max-lg:grid-cols-1">
          {#each taught as { option, pick } (option)}
            <li class="border-b border-base-300 py-1.5 leading-snug" data-school={option}>
              <strong>{schoolName('box', option)}</strong>
              {#if pick === routes[0]}{says.agrees(wayShort(pick))}
              {:else}{says.wouldTake(wayShort(pick), standing(pick, 1), pick.present ? says.asNow : '')}{/if}
            </li>
          {/each}
        </ul>
      </section>
    {/if}
    <p
      class="no-print fixed inset-x-0 bottom-0 flex items-center gap-3 border-t border-base-300 bg-base-100 px-5 py-3 text-quiet max-sm:px-3.5"
    >
      <button
        type="button"
        class="btn btn-primary btn-sm"
        disabled={!shown[current] || shown[current].present}
        onclick={() => use(shown[current])}>{says.useWay(current + 1)}</button
      >
      <button type="button" class="btn btn-outline btn-primary btn-sm" onclick={lock}
        >{line.info?.locked ? says.unlockThisLine : says.lockAsItIs}</button
      >
      <a class="ml-auto hover:text-base-content" href={back}
        ><span class="max-sm:hidden"
          ><kbd class="key">1</kbd>
          {says.to2} <kbd class="key">9</kbd>
          {says.use} <kbd class="key">L</kbd>
          {says.lock}
          <kbd class="key">A</kbd>
          {says.all}
        </span><kbd class="key">{says.esc}</kbd>
        {says.back}</a
      >
    </p>
  {/if}
</main>
