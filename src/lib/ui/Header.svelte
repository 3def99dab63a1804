<script lang="ts">
  import { ui as says } from '$core/words/screen/ui';
  import type { Snippet } from 'svelte';
  import { page } from '$app/state';
  import ThemeSwitch from './ThemeSwitch.svelte';

  interface Props {
    show?: { id: string; name: string };
    /** Somebody with a link to this one show: there is nothing else for them. */
    guest?: boolean;
    status?: string;
    statusTone?: string;
    onhelp?: () => void;
    extra?: Snippet;
  }
  const { show, guest = false, status = '', statusTone = 'text-quiet', onhelp, extra }: Props = $props();
  const links = $derived(
    show
      ? ([
          [`/show/${show.id}`, says.lines],
          [`/show/${show.id}/propose`, says.propose],
          [`/show/${show.id}/schools`, says.schools],
          [`/show/${show.id}/kit`, says.kit],
          [`/show/${show.id}/paper`, says.paper],
          [`/show/${show.id}/check`, says.check],
          [`/show/${show.id}/earth`, says.earth],
          [`/show/${show.id}/trace`, says.trace],
          [`/show/${show.id}/listen`, says.listen]
        ] as const)
      : ([
          ['/', says.shows],
          ['/kit', says.kit],
          ['/drill', says.drill],
          ['/crew', says.crew]
        ] as const)
  );
</script>

<header
  class="no-print flex min-h-[46px] items-center gap-x-5 border-b border-base-300 bg-card px-5 max-sm:flex-wrap max-sm:gap-x-3 max-sm:px-3.5 max-sm:pt-2"
>
  {#if guest}
    <span class="text-[1.3em] font-bold tracking-tight">{says.guanxi}</span>
  {:else}
    <a href="/" class="text-[1.3em] font-bold tracking-tight" aria-label={says.guanxiAllShows}>{says.guanxi}</a>
  {/if}
  {#if show}
    <a href="/show/{show.id}" class="min-w-0 truncate font-bold">{show.name}</a>
  {/if}
  <nav
    aria-label={show ? says.show : says.crew}
    class="flex min-w-0 gap-1 overflow-x-auto max-sm:order-last max-sm:-mx-2 max-sm:w-full"
  >
    {#each links as [href, name] (href)}
      {@const here = page.url.pathname === href}
      <a
        {href}
        aria-current={here ? 'page' : undefined}
        class="rounded-lg px-3 py-2 whitespace-nowrap max-sm:px-2 {here
          ? 'bg-base-200 font-semibold'
          : 'text-quiet hover:text-base-content'}">{name}</a
      >
    {/each}
  </nav>
  <div class="ml-auto flex items-center gap-3">
    {@render extra?.()}
    <span class="{statusTone} whitespace-nowrap" role="status" aria-live="polite">{status}</span>
    <ThemeSwitch />
    {#if onhelp}
      <button type="button" class="key h-6 max-sm:hidden" onclick={onhelp} aria-label={says.keys} title={says.keys}
        >?</button
      >
    {/if}
  </div>
</header>
