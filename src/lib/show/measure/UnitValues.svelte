<script lang="ts">
  import { fittingUnits } from '$core/advise/fail-one';
  import { measuredOn } from '$core/kit/measured';
  import { measuredText } from '$core/words/measure';
  import { measure as says } from '$core/words/screen/measure';
  import { changesTo } from '$lib/kit/changes';
  import { CrewKit } from '$lib/kit/crew-kit.svelte';
  import { useShow } from '$lib/show/session/context';
  import { shortDay, today } from '$lib/ui/when';
  import { onMount, untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import type { Target } from './measure-desk.svelte';
  import { useValues } from './use-values';

  interface Props {
    target: Target;
    /** What was found now, to be kept with one of them; null while nothing is. */
    values: Readonly<Record<string, number>> | null;
  }
  /** Things of the crew's kit that have a number and may be what is measured: what is known of each, and which one it was. */
  const { target, values }: Props = $props();
  const show = useShow();
  const plan = $derived(show.session.plan);
  const crew = untrack(() => new CrewKit(show.crewKit, show.crewId, show.rows));
  onMount(() => {
    void crew.open(show.feed);
    return () => crew.close();
  });
  const what = $derived(
    target.cable ? plan.cables[target.cable] : target.device ? plan.devices[target.device] : undefined
  );
  const units = $derived(what ? fittingUnits(crew.kit, what) : []);
  const known = $derived(units.filter(({ unit }) => unit.measured));
  const model = $derived(target.cable ? null : target.model);
  let chosen = $state('');
  const which = $derived(units.find(({ id }) => id === chosen) ?? units[0]);

  function keep(): void {
    if (!which || !values) return;
    const { id, item, unit } = which;
    const changes = changesTo(crew.kit, { ...crew.kit, [id]: measuredOn(item, values, today()) });
    crew.do(changes.map((change) => ({ ...change, show: show.id })));
    toast(says.kept(says.unit(unit.label)));
  }
</script>

{#if values && units.length > 0 && show.mayChange}
  <p class="flex flex-wrap items-center gap-3">
    <select
      class="select w-auto"
      aria-label={says.keepWithNumber}
      value={which?.id}
      onchange={(e) => (chosen = e.currentTarget.value)}
    >
      {#each units as { id, unit } (id)}<option value={id}>{says.unit(unit.label)}</option>{/each}
    </select>
    <button type="button" class="btn" onclick={keep}>{says.keepWith}</button>
  </p>
{/if}
{#if known.length > 0}
  <section class="grid gap-1" aria-label={says.measuredBefore} data-units>
    <h2 class="text-quiet">{says.measuredBefore}</h2>
    {#each known as { id, unit } (id)}
      <p class="flex flex-wrap items-center gap-x-3 gap-y-1">
        <span
          >{says.measuredOn(unit.label, shortDay(unit.measured!.at), measuredText(unit.measured!.values, model))}</span
        >
        {#if show.mayChange}<button
            type="button"
            class="link"
            onclick={() => useValues(show, target, unit.measured!.values)}>{says.useNumber(unit.label)}</button
          >{/if}
      </p>
    {/each}
  </section>
{/if}
