<script lang="ts">
  import { runsOnBattery } from '$core/kit/batteries';
  import { type KitItem, unitOf } from '$core/kit/schema';
  import { failsOften } from '$core/kit/units';
  import { timesText } from '$core/words/kit-life';
  import { measuredText } from '$core/words/measure';
  import { CONDITION_NAMES } from '$core/words/names';
  import { unit as says } from '$core/words/screen/unit';
  import { CONDITION_MARK } from '$lib/kit/labels';
  import { shortDay } from '$lib/ui/when';

  /** How a thing is: condition, where, how often it failed, its battery. */
  const { item }: { item: KitItem } = $props();
  const unit = $derived(unitOf(item));
  const day = 86_400_000;
  const battery = $derived.by(() => {
    if (!unit || !runsOnBattery(item)) return null;
    if (!unit.battery) return says.batteryUnknown;
    const { changed, hours } = unit.battery;
    const days = Math.max(0, Math.floor((Date.now() - new Date(`${changed}T00:00:00`).getTime()) / day));
    const on = new Date(`${changed}T12:00:00`).toLocaleDateString(undefined, { day: 'numeric', month: 'short' });
    return says.batterySince(on, says.daysOld(days), hours > 0 ? says.hoursOn(hours) : '');
  });
</script>

<p class="flex flex-wrap gap-x-3 pt-1" data-unit-facts>
  <span class={CONDITION_MARK[item.condition]}>{CONDITION_NAMES[item.condition]}</span>
  {#if unit}
    <span class={failsOften(item) ? 'font-semibold text-warning' : 'text-quiet'}
      >{unit.failed === 0 ? says.neverFailed : says.failed(timesText(unit.failed))}</span
    >
  {/if}
  {#if item.place}<span class="text-quiet">{item.place}</span>{/if}
  {#if unit?.measured}
    <span class="text-quiet" data-measured
      >{says.measured(
        shortDay(unit.measured.at),
        measuredText(unit.measured.values, item.kind === 'device' ? item.model : null)
      )}</span
    >
  {/if}
  {#if battery}<span class="text-quiet">{battery}</span>{/if}
</p>
