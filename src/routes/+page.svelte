<script lang="ts">
  import { counted } from '$core/words/screen/counted';
  import { pages as says } from '$core/words/screen/pages';
  import { goto } from '$app/navigation';
  import { SEVERITIES } from '$core/judge/types';
  import { SEVERITY_NAMES } from '$core/words/names';
  import Dialog from '$lib/ui/Dialog.svelte';
  import Header from '$lib/ui/Header.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import LinkDialog from '$lib/crew/LinkDialog.svelte';
  import { renew } from '$lib/ui/renew';
  import { send } from '$lib/ui/send';
  import { dateTime } from '$lib/ui/when';
  import { toast } from 'svelte-sonner';

  const { data } = $props();

  let newName = $state('');
  let renaming = $state.raw<{ id: string; name: string } | null>(null);
  let faults = $state.raw<{ file: string; lines: readonly string[] } | null>(null);
  let shared = $state.raw<{ name: string; path: string } | null>(null);
  let picker = $state<HTMLInputElement>();
  let busy = $state(false);

  /** Sends a change; says what went wrong. */
  async function change<T>(method: string, path: string, body?: unknown): Promise<T | null> {
    busy = true;
    const sent = await send<T>(method, path, body);
    busy = false;
    if (sent.ok) return sent.answer;
    toast.error(sent.message);
    return null;
  }
  const refresh = (): Promise<boolean> => renew('app:shows');
  /** Looked for in vain, with the network gone: once more then. */
  let again = $state(0);
  // What is still being computed is there in a moment; what somebody is changing, in two.
  $effect(() => {
    const wait = (s: (typeof data.shows)[number]): number => (s.look === 'computing' ? 1200 : s.old ? 2200 : Infinity);
    const soonest = Math.min(...data.shows.map(wait)) * (again > 0 ? 2 : 1);
    if (soonest === Infinity) return;
    const soon = setTimeout(() => void refresh().then((came) => came || again++), soonest);
    return () => clearTimeout(soon);
  });

  async function create(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const name = newName.trim();
    if (name === '') return;
    const made = await change<{ id: string }>('POST', '/api/shows', { name });
    if (made) {
      newName = '';
      await goto(`/show/${made.id}`);
    }
  }

  async function rename(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    if (!renaming || renaming.name.trim() === '') return;
    if (await change('PATCH', `/api/shows/${renaming.id}`, { name: renaming.name })) {
      renaming = null;
      await refresh();
    }
  }

  async function copy(id: string): Promise<void> {
    const made = await change<{ name: string }>('POST', `/api/shows/${id}/copy`);
    if (made) toast(says.made(made.name));
    await refresh();
  }

  async function remove(id: string, name: string): Promise<void> {
    if (!(await change('DELETE', `/api/shows/${id}`))) return;
    await refresh();
    toast(says.deleted(name), {
      duration: 15_000,
      action: {
        label: says.undo,
        onClick: async () => {
          if (await change('POST', `/api/shows/${id}/restore`)) await refresh();
        }
      }
    });
  }

  async function share(id: string, name: string): Promise<void> {
    const made = await change<{ token: string }>('POST', `/api/shows/${id}/shares`);
    if (made) shared = { name, path: `/s/${made.token}` };
  }

  async function importFile(file: File | undefined): Promise<void> {
    if (!file) return;
    faults = null;
    try {
      const body: unknown = JSON.parse(await file.text());
      const sent = await send<{ name: string }>('POST', '/api/import', body);
      if (sent.ok) {
        toast(says.imported(sent.answer.name));
        await refresh();
      } else if (sent.faults) faults = { file: file.name, lines: sent.faults };
      else toast.error(sent.message);
    } catch {
      faults = { file: file.name, lines: [says.itIsNotJsonThisReads] };
    }
    if (picker) picker.value = '';
  }
</script>

<svelte:head><title>{says.showsGuanxi}</title></svelte:head>
<Header />

<main class="mx-auto max-w-[980px] px-5 py-6 max-sm:px-3.5">
  <div class="flex flex-wrap items-end justify-between gap-3 pb-3">
    <div>
      <h1 class="text-[1.6em] leading-tight font-bold">{says.shows}</h1>
      <p class="text-quiet">{says.everyLineOfAShowJudged}</p>
    </div>
    {#if data.mayChange}
      <form class="flex gap-2 max-sm:w-full" onsubmit={create}>
        <input
          class="input w-56 max-sm:w-full"
          placeholder={says.nameOfANewShow}
          aria-label={says.nameOfANewShow}
          maxlength="80"
          bind:value={newName}
        />
        <button class="btn btn-primary" disabled={busy || newName.trim() === ''}>{says.create}</button>
        <button type="button" class="btn btn-outline btn-primary" onclick={() => picker?.click()}>{says.import}</button>
        <input
          bind:this={picker}
          type="file"
          accept="application/json,.json"
          class="hidden"
          aria-label={says.planFile}
          onchange={(event) => importFile(event.currentTarget.files?.[0])}
        />
      </form>
    {/if}
  </div>

  {#if faults}
    <section class="mb-4 rounded-[9px] border border-error bg-card px-4 py-3" role="alert">
      <p class="font-semibold">{says.nothingWasImportedFrom(faults.file)}</p>
      <ul class="num text-[0.9em]">
        {#each faults.lines as line, k (k)}<li>{line}</li>{/each}
      </ul>
      <button type="button" class="mt-1 text-primary underline" onclick={() => (faults = null)}>{says.close}</button>
    </section>
  {/if}

  {#if data.shows.length === 0}
    <p class="border-t border-base-300 py-14 text-center text-quiet">
      {says.noShowsNameOneAboveOr}
    </p>
  {/if}
  <ul class="border-t border-base-300">
    {#each data.shows as show (show.id)}
      {@const look = typeof show.look === 'string' ? null : show.look}
      {@const worst = look && (SEVERITIES.findLast((s) => look.counts[s] > 0) ?? 'clean')}
      <li class="grid grid-cols-[1fr_auto] items-center gap-x-5 gap-y-1 border-b border-base-300 py-3">
        <a href="/show/{show.id}" class="group min-w-0">
          <span class="flex items-center gap-2.5 text-[1.15em] font-bold group-hover:underline"
            >{#if worst}<Mark severity={worst} size={17} />{:else}<span class="w-[17px]"></span>{/if}<span
              class="truncate">{show.name}</span
            ></span
          >
          <span class="flex flex-wrap items-center gap-x-4 gap-y-0.5 pt-1 pl-[27px]">
            {#if look}<span class="text-quiet">{look.lines} {counted.line(look.lines)}</span>
            {:else}<span class="text-quiet" data-look={show.look}
                >{show.look === 'computing' ? says.beingJudged : says.tooLargeToJudge}</span
              >{/if}
            {#each SEVERITIES as severity (severity)}
              {#if look && look.counts[severity] > 0}
                <span class="flex items-center gap-1.5"
                  ><Mark {severity} size={13} />{look.counts[severity]}
                  {severity === 'care' ? says.withCare : SEVERITY_NAMES[severity]}</span
                >
              {/if}
            {/each}
            <span class="text-quiet">{says.changed(dateTime(show.changedAt))}</span>
          </span>
        </a>
        <div class="flex gap-x-4 text-quiet max-sm:col-span-2 max-sm:pl-[27px]">
          {#if data.mayChange}
            <button type="button" class="py-1 hover:text-base-content" onclick={() => share(show.id, show.name)}
              >{says.share}<span class="sr-only"> {show.name}</span></button
            >
            <button
              type="button"
              class="py-1 hover:text-base-content"
              onclick={() => (renaming = { id: show.id, name: show.name })}
              >{says.rename}<span class="sr-only"> {show.name}</span></button
            >
            <button type="button" class="py-1 hover:text-base-content" onclick={() => copy(show.id)}
              >{says.duplicate}<span class="sr-only"> {show.name}</span></button
            >
          {/if}
          <a class="py-1 hover:text-base-content" href="/api/shows/{show.id}/plan" download
            >{says.export}<span class="sr-only"> {show.name}</span></a
          >
          {#if data.mayChange}
            <button type="button" class="py-1 hover:text-error" onclick={() => remove(show.id, show.name)}
              >{says.delete}<span class="sr-only"> {show.name}</span></button
            >
          {/if}
        </div>
      </li>
    {/each}
  </ul>
  {#if data.shows.length > 0}
    <p class="py-4 text-quiet">
      <a class="underline hover:text-base-content" href="/api/export" download>{says.exportEverythingAsOneOpenFile}</a>
    </p>
  {/if}
  {#if data.open}
    <p class="text-quiet">
      {says.everybodyAtThisMachineIsIn}
      <a class="underline hover:text-base-content" href="/crew">{says.accountsForACrew}</a>
    </p>
  {/if}
</main>

{#if shared}
  <LinkDialog
    title={says.aLinkTo(shared.name)}
    path={shared.path}
    origin={data.origin}
    originForOthers={data.originForOthers}
    onclose={() => (shared = null)}
  >
    {says.whoeverHasThisLinkMayLook} <a href="/crew" class="underline">{says.crew}</a>
    {says.itCanBeTakenBack}
  </LinkDialog>
{/if}

{#if renaming}
  <Dialog title={says.renameTheShow} onclose={() => (renaming = null)}>
    <form class="flex gap-2" onsubmit={rename}>
      <input class="input w-full" aria-label={says.name} maxlength="80" bind:value={renaming.name} />
      <button class="btn btn-primary" disabled={renaming.name.trim() === ''}>{says.rename}</button>
    </form>
  </Dialog>
{/if}
