<script lang="ts">
  import { compare as says } from '$core/words/screen/compare';
  import { kitFor, usedOf } from '$core/advise/stock';
  import KitTable from '$lib/kit/KitTable.svelte';
  import { withChanges } from '$lib/kit/changes';
  import { partName } from '$core/words/routes';
  import { useShow } from '$lib/show/session/context';
  import { changeKit, setPolicy } from '$lib/show/session/edits';

  const show = useShow();
  const { session } = show;
  const plan = $derived(session.plan);
  const from = $derived(plan.policy.kit ?? 'any');
  const kit = $derived(kitFor(plan, show.crewKit));
  const use = $derived(usedOf(plan, kit ?? show.crewKit));
  const CHOICES = [
    ['crew', says.theCrewsKit],
    ['own', says.aListOfItsOwn],
    ['any', 'anything']
  ] as const;
</script>

<main class="pb-12">
  <div class="flex flex-wrap items-baseline gap-x-4 gap-y-2 px-5 pt-4 max-sm:px-3.5">
    <h1 class="text-[1.35em] font-bold">{says.whatThisShowMayUse}</h1>
    <span class="flex gap-1" role="group" aria-label={says.whatMayBeUsed}>
      {#each CHOICES as [value, name] (value)}
        <button
          type="button"
          class="rounded-full px-3 py-0.5 {from === value ? 'bg-primary text-primary-content' : 'bg-base-200'}"
          aria-pressed={from === value}
          onclick={() => from !== value && session.do(setPolicy(plan, name, { kit: value }))}>{name}</button
        >
      {/each}
    </span>
  </div>
  {#if use.short.length > 0}
    <p class="px-5 pt-2 max-sm:px-3.5" data-short>
      <strong class="text-warning">{from === 'any' ? says.notInTheCrewsKit : says.notEnough}:</strong>
      {use.short.map(({ part, count }) => `${count} × ${partName(part)}`).join(', ')}
    </p>
  {/if}
  {#if from === 'own'}
    {#if Object.keys(plan.kit ?? {}).length === 0 && Object.keys(show.crewKit).length > 0}
      <p class="px-5 pt-2 text-quiet max-sm:px-3.5">
        {says.startFrom}
        <button
          type="button"
          class="text-primary underline"
          onclick={() => session.do(changeKit(plan, says.aCopyOfTheCrews, { ...show.crewKit }))}
          >{says.aCopyOfTheCrewsKit}</button
        >{says.orSayWhatThereIs}
      </p>
    {/if}
    <KitTable
      kit={plan.kit ?? {}}
      used={use.used}
      onchange={(changes, what) => session.do(changeKit(plan, what, withChanges(plan.kit ?? {}, changes)))}
    />
  {:else}
    <p class="px-5 pt-2 text-quiet max-sm:px-3.5">
      {from === 'any' ? says.proposalsAreFreeToUseAnything : says.whatThePlanTakesNowOf}
      <a class="text-primary underline" href="/kit">{says.changeTheCrewsKit}</a>
    </p>
    <ul class="grid grid-cols-2 gap-x-8 px-5 pt-2 max-lg:grid-cols-1 max-sm:px-3.5" aria-label={says.inUse}>
      {#each use.list as { part, have, used } (`${part.what} ${part.metres}`)}
        <li class="flex items-center gap-3 border-b border-base-300 py-1.5" data-use={part.what}>
          <span class="min-w-0 truncate">{partName(part)}</span>
          <span class="ml-auto flex gap-[3px]" aria-hidden="true">
            {#each { length: Math.min(Math.max(have, used), 24) } as _, k (k)}
              <span
                class="h-[14px] w-[7px] rounded-[2px] {k < Math.min(used, have)
                  ? 'bg-primary'
                  : k < used
                    ? 'bg-error'
                    : 'border border-base-300 bg-base-200'}"
              ></span>
            {/each}
          </span>
          <span class="num w-20 text-right {used > have ? 'font-semibold text-error' : used === 0 ? 'text-quiet' : ''}"
            >{says.of(used, have)}</span
          >
        </li>
      {/each}
    </ul>
  {/if}
</main>
