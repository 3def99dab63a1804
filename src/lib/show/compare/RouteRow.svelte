<script lang="ts">
  import { compare as says } from '$core/words/screen/compare';
  import type { Route } from '$core/advise/route';
  import { likedByEar } from '$core/advise/routes';
  import { applyEdit } from '$core/plan/edit';
  import type { Plan } from '$core/plan/schema';
  import { formatNumber } from '$core/units/format';
  import { asksFor, besideText, standing, standingSentence, switchesText, wayName } from '$core/words/routes';
  import Mark from '$lib/ui/Mark.svelte';
  import { SEVERITY_TEXT } from '$lib/ui/marks';
  import Spark from '$lib/show/board/Spark.svelte';
  import Strip from '$lib/show/board/Strip.svelte';

  interface Props {
    plan: Plan;
    route: Route;
    /** Place among the ways, from 0; the key is one more. */
    place: number;
    fromKit: boolean;
    current: boolean;
    onpick: () => void;
    onuse: () => void;
    /** Whether it is laid over others. */
    laid: boolean;
    onlay: (on: boolean) => void;
  }
  const { plan, route, place, fromKit, current, onpick, onuse, laid, onlay }: Props = $props();

  const draft = $derived.by(() => {
    const next = applyEdit(plan, { ops: [...route.ops] });
    return next.ok ? next.plan : plan;
  });
  const { report } = $derived(route);
  const show = (value: number | null): string => (value === null ? '–' : value <= -150 ? '−∞' : formatNumber(value));
</script>

<div class="route-row py-2 {current ? 'bg-base-200/60' : ''}" data-route={route.way.id} data-place={place}>
  <button
    type="button"
    class="no key h-7"
    onclick={onpick}
    aria-pressed={current}
    aria-label={says.way(place + 1, wayName(route))}
    data-way={place}>{place + 1}</button
  >
  <div class="strip-cell"><Strip plan={draft} line={report} {report} /></div>
  <div class="flex items-center gap-2">
    <input
      type="checkbox"
      class="checkbox checkbox-xs"
      checked={laid}
      onchange={(event) => onlay(event.currentTarget.checked)}
      aria-label={says.layOver(place + 1, wayName(route))}
    /><span class="min-w-0 max-[1200px]:hidden"><Spark {report} /></span>
  </div>
  <span class="num wide text-right" title={says.averageLevelAtTheInputDbu}>{show(report.arrives)}</span>
  <span class="num wide text-right" title={says.gainToTheWorkingLevelDb}>{show(report.gain)}</span>
  <span class="num wide text-right" title={says.leastRoomBetweenPeakAndClip}>{show(report.room)}</span>
  <span class="num wide text-right" title={says.averageLevelOverTheHissAt}>{show(report.snr)}</span>
  <span class="num wide text-right" title={says.averageLevelOverTheHumOf}>{show(report.hum?.below ?? null)}</span>
  <div class="verdict min-w-0 leading-snug">
    <p class="flex gap-2 {SEVERITY_TEXT[report.severity]}">
      <span class="pt-0.5"><Mark severity={report.severity} /></span>
      <span class={report.severity === 'clean' ? '' : 'font-semibold'} title={standingSentence(route)} data-standing
        >{standing(route, place)}</span
      >
    </p>
    <p class="pl-6 text-[0.93em] text-quiet">
      {[
        likedByEar(plan.lines[report.id], route) && says.likedByEar,
        route.present && says.asPlannedNow,
        switchesText(route),
        asksFor(route, fromKit),
        besideText(route)
      ]
        .filter(Boolean)
        .join('; ')}
    </p>
    {#if current && route.report.severity !== 'clean'}
      <p class="pt-0.5 pl-6 text-[0.93em]" data-wrong>{standingSentence(route)}</p>
    {/if}
  </div>
  <button
    type="button"
    class="use btn btn-sm {place === 0 ? 'btn-primary' : 'btn-outline btn-primary'}"
    disabled={route.present}
    onclick={onuse}
    aria-label={says.useWay2(place + 1, wayName(route))}>{route.present ? says.inUse : says.use2}</button
  >
</div>
