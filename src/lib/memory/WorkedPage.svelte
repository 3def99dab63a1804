<script lang="ts">
  import { goto } from '$app/navigation';
  import { players as says } from '$core/words/screen/players';
  import { log as logSays } from '$core/words/screen/log';
  import { MODELS } from '$core/gear/catalogue';
  import { modelName } from '$core/words/names';
  import type { WorkedAsk, WorkedBefore } from '$lib/protocol/log';
  import Header from '$lib/ui/Header.svelte';
  import { untrack } from 'svelte';
  import WorkedList from './WorkedList.svelte';

  interface Props {
    worked: readonly WorkedBefore[];
    ask: WorkedAsk;
    venues: readonly { readonly id: string; readonly name: string }[];
  }
  /** Settings of every line that worked, found by name, by DI, by input and by venue. */
  const { worked, ask, venues }: Props = $props();
  const [BOXES, INPUTS] = [MODELS.filter((m) => m.family === 'box'), MODELS.filter((m) => m.family === 'input')];
  let [q, box, input, venue] = $state(untrack(() => [ask.q ?? '', ask.box ?? '', ask.input ?? '', ask.venue ?? '']));
  const filtered = $derived([q, box, input, venue, ask.instrument ?? ''].some((of) => of !== ''));
  let soon: ReturnType<typeof setTimeout> | undefined;
  function find(after = 0): void {
    clearTimeout(soon);
    soon = setTimeout(() => {
      const words = new URLSearchParams(Object.entries({ q, box, input, venue }).filter(([, v]) => v !== ''));
      void goto(`?${words.toString()}`, { keepFocus: true, noScroll: true, replaceState: true });
    }, after);
  }
</script>

<Header />
<main class="mx-auto grid max-w-[860px] gap-4 px-5 py-5 max-sm:px-3.5">
  <h1 class="text-[1.3em] font-bold">{says.settingsTitle}</h1>
  <form
    class="flex flex-wrap gap-2"
    role="search"
    onsubmit={(event) => {
      event.preventDefault();
      find();
    }}
  >
    <input
      class="input h-12 min-w-0 flex-1 basis-60"
      type="search"
      aria-label={says.settingsFind}
      placeholder={says.settingsFind}
      maxlength="80"
      bind:value={q}
      oninput={() => find(250)}
    />
    <select class="select h-12 w-auto pr-8" aria-label={says.whichDi} bind:value={box} onchange={() => find()}>
      <option value="">{says.anyDi}</option>
      {#each BOXES as { id } (id)}<option value={id}>{modelName(id)}</option>{/each}
    </select>
    <select class="select h-12 w-auto pr-8" aria-label={says.whichInput} bind:value={input} onchange={() => find()}>
      <option value="">{says.anyInput}</option>
      {#each INPUTS as { id } (id)}<option value={id}>{modelName(id)}</option>{/each}
    </select>
    {#if venues.length > 0}
      <select
        class="select h-12 w-auto pr-8"
        aria-label={logSays.whichVenue}
        bind:value={venue}
        onchange={() => find()}
      >
        <option value="">{logSays.everyVenue}</option>
        {#each venues as v (v.id)}<option value={v.id}>{v.name}</option>{/each}
      </select>
    {/if}
  </form>
  {#if worked.length === 0}
    <p class="max-w-[60ch] py-6 text-quiet" role="status">{filtered ? says.nothingSo : says.settingsTeach}</p>
  {/if}
  <WorkedList {worked} />
</main>
