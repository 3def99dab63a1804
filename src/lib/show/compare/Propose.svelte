<script lang="ts">
  import { counted } from '$core/words/screen/counted';
  import { compare as says } from '$core/words/screen/compare';
  import { resolve } from '$core/plan/resolved';
  import { likedByEar } from '$core/advise/routes';
  import { type Allotment, opsOf, type Proposal } from '$core/advise/allocate';
  import { inUse, withoutOne } from '$core/advise/failing';
  import { kitFor, type Part } from '$core/advise/stock';
  import { rank, type Severity, SEVERITIES } from '$core/judge/types';
  import { applyEdit } from '$core/plan/edit';
  import { verdict } from '$core/words/findings';
  import { SEVERITY_NAMES } from '$core/words/names';
  import { partName, switchesText, wayShort } from '$core/words/routes';
  import Mark from '$lib/ui/Mark.svelte';
  import { SEVERITY_TEXT } from '$lib/ui/marks';
  import { onMount } from 'svelte';
  import { SvelteSet } from 'svelte/reactivity';
  import { toast } from 'svelte-sonner';
  import { tinykeys } from 'tinykeys';
  import { pairRows, type ProposedRow } from './pair-rows';
  import { Advising } from './advising.svelte';
  import { useShow } from '$lib/show/session/context';
  import { lineName, setLocked, useProposal } from '$lib/show/session/edits';
  import Strip from '$lib/show/board/Strip.svelte';

  const show = useShow();
  const { session } = show;
  const plan = $derived(session.plan);
  const whole = $derived(kitFor(plan, show.crewKit));
  /** What is thought to fail. It stays so, even when nothing uses it any more. */
  let failed = $state.raw<Part | null>(null);
  const sameAs =
    (a: Part | null) =>
    (b: Part): boolean =>
      a?.what === b.what && a.metres === b.metres;
  const couldFail = $derived.by((): readonly Part[] => {
    const used = whole ? inUse(plan, whole) : [];
    return failed && !used.some(sameAs(failed)) ? [...used, failed] : used;
  });
  const kit = $derived(whole && failed ? withoutOne(whole, failed) : whole);
  const search = new Advising<Proposal>();
  /** The plan that the proposal on screen is about. */
  let about = $state.raw<typeof plan | null>(null);
  const proposal = $derived(search.result && about === plan ? search.result : null);
  const stale = $derived(search.result !== null && about !== plan && search.progress === null);
  const changed = $derived(proposal?.allotments.filter((a) => !a.kept) ?? []);
  const kept = $derived(proposal?.allotments.filter((a) => a.kept) ?? []);
  const refused = new SvelteSet<string>();
  const accepted = $derived(new Set(changed.map((a) => a.lineId).filter((id) => !refused.has(id))));
  const names = $derived(new Map(resolve(plan).lines.map((l) => [l.id, lineName(l)])));
  const nameOf = (id: string): string => names.get(id) ?? id;
  const pairOf = (id: string): string | undefined => plan.lines[id]?.pair;
  const told = (a: Allotment): string => `${wayShort(a.route)}\n${reason(a)}\n${secondText(a)}`;
  const changedRows = $derived(pairRows(changed, pairOf, told));
  const keptRows = $derived(pairRows(kept, pairOf, (a) => `${told(a)}\n${a.locked}`));
  const rowName = ({ ids }: ProposedRow): string => (ids.length > 1 ? (pairOf(ids[0]) ?? '') : nameOf(ids[0]));
  const reportsBefore = $derived(new Map(proposal?.before.map((r) => [r.id, r])));
  const reportsAfter = $derived(new Map(proposal?.after.map((r) => [r.id, r])));
  const KIT_NAMES = { crew: says.theCrewsKit, own: says.theShowsOwnList, any: says.anythingThatCanBeHad } as const;

  const draftOf = (a: Allotment) => {
    const next = applyEdit(plan, { ops: [...a.route.ops] });
    return next.ok ? next.plan : plan;
  };
  const tally = (list: Proposal['before']): { severity: Severity; count: number }[] =>
    [...SEVERITIES]
      .reverse()
      .map((severity) => ({ severity, count: list.filter((r) => r.severity === severity).length }))
      .filter(({ count }) => count > 0);

  onMount(() => {
    propose();
    const stop = tinykeys(window, {
      Enter: (event) => {
        if (event.target instanceof HTMLElement && event.target.closest('button, a, input')) return;
        if (proposal && accepted.size > 0) accept();
      }
    });
    return () => {
      stop();
      search.cancel();
    };
  });

  function propose(): void {
    about = plan;
    refused.clear();
    const [now, from] = [plan, kit];
    void search.run((api, progress) => api.propose(now, from, progress));
  }

  function accept(): void {
    if (!proposal) return;
    const count = accepted.size;
    const edit = useProposal(`${count} ${counted.line(count)}`, opsOf(proposal.allotments, accepted));
    if (!session.do(edit)) return;
    toast(`${count} ${counted.line(count)} changed.`, { action: { label: says.undo, onClick: show.undo } });
    propose();
  }

  /** Locks one side or both, in one step of undo. */
  function lock(ids: readonly string[]): void {
    const lines = ids.flatMap((id) => resolve(plan).line(id) ?? []);
    session.do(setLocked(plan, lines, !lines.every((l) => l.info?.locked)));
    propose();
  }

  /** Why this way: what is mended, or that nothing better was to be had. */
  function reason(a: Allotment): string {
    const was = reportsBefore.get(a.lineId);
    const is = reportsAfter.get(a.lineId);
    if (!was || !is) return '';
    const set = switchesText(a.route);
    const liked = likedByEar(plan.lines[a.lineId], a.route) ? says.likedByEar : '';
    return [`${verdict(was)} → ${verdict(is)}`, set, liked].filter(Boolean).join('; ');
  }
  function secondText(a: Allotment): string {
    if (!a.second) return says.noOtherWayWasWorthA;
    const { route, taken } = a.second;
    const gone = taken.map(({ what, by }) =>
      by
        ? says.whichHas(partName({ what, metres: 0 }), nameOf(by))
        : says.whichIsNotInTheKit(partName({ what, metres: 0 }))
    );
    // What is the way itself is not named twice.
    const [only] = taken;
    const itself = taken.length === 1 && only.by && partName({ what: only.what, metres: 0 }) === wayShort(route);
    const takes = itself
      ? says.whichOneHas(nameOf(only.by!))
      : gone.length > 0
        ? says.itWouldTakeA(gone.join(says.andA))
        : '';
    const is = reportsAfter.get(a.lineId) ?? a.route.report;
    return rank(route.report.severity) > rank(is.severity)
      ? says.nextBestBut(wayShort(route), verdict(route.report), takes)
      : says.nextBest(wayShort(route), takes);
  }
</script>

<main class="pb-24">
  <div class="flex flex-wrap items-baseline gap-x-4 px-5 pt-4 max-sm:px-3.5">
    <h1 class="text-[1.35em] font-bold">
      {failed ? says.withoutOne(partName(failed)) : says.aPlanFrom(KIT_NAMES[plan.policy.kit ?? 'any'])}
    </h1>
    <a class="text-primary underline" href="/show/{show.id}/kit">{says.whatMayBeUsed2}</a>
    {#if couldFail.length > 0}
      <label class="flex items-center gap-2 text-quiet"
        >{says.ifOneFails}<select
          class="select w-auto pr-8 select-sm"
          onchange={(event) => {
            failed = couldFail[Number(event.currentTarget.value)] ?? null;
            propose();
          }}
        >
          <option value={-1} selected={!failed}>{says.nothingFails}</option>
          {#each couldFail as part, k (`${part.what} ${part.metres}`)}<option value={k} selected={sameAs(failed)(part)}
              >{partName(part)}</option
            >{/each}
        </select></label
      >
      {#if failed}<span class="text-quiet">{says.whoGoesWithout}</span>{/if}
    {/if}
    {#if search.progress !== null}
      <span class="ml-auto flex items-center gap-3" role="status">
        <progress class="progress w-40 progress-primary" value={search.progress} max="1" aria-label={says.shareDone}
        ></progress>
        <button type="button" class="btn btn-outline btn-sm" onclick={() => search.cancel()}>{says.cancel}</button>
      </span>
    {/if}
  </div>
  {#if search.failed}<p class="px-5 pt-3 text-error" role="alert">{search.failed}</p>{/if}
  {#if proposal}
    <p class="flex flex-wrap items-center gap-x-2 gap-y-1 px-5 pt-1 pb-3 max-sm:px-3.5" data-summary>
      {#each [['now', proposal.before], ['then', proposal.after]] as const as [when, list] (when)}
        <span class="text-quiet {when === 'then' ? 'ml-2' : ''}">{when}</span>
        {#each tally(list) as { severity, count } (severity)}
          <span class="flex items-center gap-1" data-tally="{when} {severity}"
            ><Mark {severity} size={14} />{count} {SEVERITY_NAMES[severity]}</span
          >
        {/each}
      {/each}
    </p>
    {#if changed.length === 0}
      <p class="px-5 py-10 text-center text-[1.1em]">
        {says.nothingToChangeInItsBest(kit ? says.theKitIs : says.everythingIs)}
      </p>
    {/if}
    {#if changed.length > 0}
      <div
        class="propose-row board-head border-b-2 border-primary pb-1.5 text-[0.93em] text-quiet max-[1200px]:hidden!"
      >
        <span>{says.line}</span>
        <div class="strip">
          <span>{says.source}</span><span class="text-center">{says.lead}</span><span>{says.box}</span><span
            class="text-center">{says.run}</span
          ><span>{says.input}</span>
        </div>
        <span>{says.nowThen}</span>
        <span></span>
      </div>
    {/if}
    <ol aria-label={says.proposedChanges}>
      {#each changedRows as row (row.first.lineId)}
        {@const a = row.first}
        {@const is = reportsAfter.get(a.lineId)}
        <li
          class="propose-row border-b border-base-300 py-2 {refused.has(a.lineId) ? 'opacity-60' : ''}"
          data-proposal={a.lineId}
        >
          <label class="flex min-w-0 items-center gap-2 font-semibold">
            <input
              type="checkbox"
              class="checkbox checkbox-sm checkbox-primary"
              checked={!refused.has(a.lineId)}
              onchange={(event) =>
                row.ids.forEach((id) => (event.currentTarget.checked ? refused.delete(id) : refused.add(id)))}
            />
            <span class="truncate">{rowName(row)}</span>
          </label>
          <div class="strip-cell"><Strip plan={draftOf(a)} line={a.route.report} report={is ?? a.route.report} /></div>
          <div class="min-w-0 leading-snug">
            <p class="flex gap-2 {SEVERITY_TEXT[is?.severity ?? 'clean']}">
              <span class="pt-0.5"><Mark severity={is?.severity ?? 'clean'} /></span><span>{reason(a)}</span>
            </p>
            <p class="pl-6 text-[0.93em] text-quiet">{secondText(a)}</p>
          </div>
          <span class="flex gap-1 justify-self-end">
            <a
              class="btn btn-ghost btn-sm"
              href="/show/{show.id}/compare/{a.lineId}"
              aria-label={says.allWaysOf(rowName(row))}>{says.ways}</a
            >
            <button
              type="button"
              class="btn btn-ghost btn-sm"
              onclick={() => lock(row.ids)}
              aria-label={says.lockAsItIs2(rowName(row))}>{says.lock2}</button
            >
          </span>
        </li>
      {/each}
    </ol>
    <div class="grid grid-cols-2 gap-x-5 px-5 pt-4 max-lg:grid-cols-1 max-lg:gap-y-4 max-sm:px-3.5">
      <section>
        <h2 class="heading">{says.oneMoreOfTheseWouldHelp}</h2>
        <ul>
          {#each proposal.wishes as wish (wish.what)}
            <li class="border-base-300 py-1.5 [&+li]:border-t">
              <strong>{partName({ what: wish.what, metres: 0 })}</strong>
              <span class="text-quiet"
                >{wish.helps.length > 0 ? says.for(wish.helps.map(nameOf).join(', ')) : says.itWouldNotHaveToBe}</span
              >
            </li>
          {:else}<li class="py-1.5 text-quiet">
              {kit ? says.nothingNoLineWouldBeBetter : says.anythingCanBeHadAlready}
            </li>{/each}
        </ul>
        {#if proposal.hire.length > 0}
          <h2 class="heading pt-3">{says.toBeHiredOrMade}</h2>
          <ul>
            {#each proposal.hire as { part, count } (`${part.what} ${part.metres}`)}
              <li class="py-1"><span class="num">{count} ×</span> {partName(part)}</li>
            {/each}
          </ul>
        {/if}
      </section>
      <section>
        <h2 class="heading">{says.stayAsTheyAre}</h2>
        <ul>
          {#each keptRows as row (row.first.lineId)}
            {@const a = row.first}
            {@const is = reportsAfter.get(a.lineId)}
            <li class="flex items-center gap-2 border-base-300 py-1 [&+li]:border-t">
              <Mark severity={is?.severity ?? 'clean'} />
              <span class="font-semibold">{rowName(row)}</span>
              <span class="truncate text-quiet"
                >{a.locked ? 'locked; ' : ''}{is ? verdict(is) : ''}{is &&
                rank(is.severity) >= rank('care') &&
                !a.locked
                  ? says.noWayHereIsBetter
                  : ''}</span
              >
              <button
                type="button"
                class="ml-auto text-quiet underline hover:text-base-content"
                onclick={() => lock(row.ids)}
                aria-label="{a.locked ? says.unlock : says.lock2} {rowName(row)}"
                >{a.locked ? says.unlockIt : says.lockIt}</button
              >
            </li>
          {/each}
        </ul>
      </section>
    </div>
    <p
      class="no-print fixed inset-x-0 bottom-0 flex items-center gap-3 border-t border-base-300 bg-base-100 px-5 py-3 max-sm:px-3.5"
    >
      <button type="button" class="btn btn-primary btn-sm" disabled={accepted.size === 0} onclick={accept}
        >{accepted.size === changed.length ? says.acceptAll : says.acceptOf(accepted.size, changed.length)}</button
      >
      <button
        type="button"
        class="btn btn-outline btn-primary btn-sm"
        disabled={changed.length === 0}
        onclick={() => (accepted.size > 0 ? changed.forEach((a) => refused.add(a.lineId)) : refused.clear())}
        >{accepted.size > 0 ? says.none : says.all2}</button
      >
      <a class="ml-auto text-quiet hover:text-base-content" href="/show/{show.id}">{says.backToTheLines}</a>
    </p>
  {:else if stale}
    <p class="px-5 py-10 text-center">
      {says.thePlanHasChangedSince}
      <button type="button" class="text-primary underline" onclick={propose}>{says.proposeAgain}</button>
    </p>
  {:else if search.progress !== null}
    <p class="px-5 py-10 text-center text-quiet">
      {says.everyWayOfEveryLineIs}
    </p>
  {:else if !search.failed}
    <p class="px-5 py-10 text-center">
      <button type="button" class="btn btn-primary" onclick={propose}>{says.proposeAPlan}</button>
    </p>
  {/if}
</main>
