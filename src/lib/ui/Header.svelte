<script lang="ts">
  import type { Snippet } from 'svelte';
  import ThemeSwitch from './ThemeSwitch.svelte';

  interface Props {
    show?: { id: string; name: string };
    status?: string;
    statusTone?: string;
    onhelp?: () => void;
    extra?: Snippet;
  }
  const { show, status = '', statusTone = 'text-quiet', onhelp, extra }: Props = $props();
</script>

<header
  class="no-print flex h-[46px] items-center gap-x-5 border-b border-base-300 bg-card px-5 max-sm:gap-x-3 max-sm:px-3.5"
>
  <a href="/" class="text-[1.3em] font-bold tracking-tight" aria-label="Guanxi, all shows">Guanxi</a>
  {#if show}
    <a href="/show/{show.id}" class="min-w-0 truncate font-bold" aria-current="page">{show.name}</a>
    <nav aria-label="Show" class="max-sm:hidden">
      <a href="/show/{show.id}" aria-current="page" class="rounded-lg bg-base-200 px-3 py-2 font-semibold">Lines</a>
    </nav>
  {/if}
  <div class="ml-auto flex items-center gap-3">
    {@render extra?.()}
    <span class="{statusTone} whitespace-nowrap" role="status" aria-live="polite">{status}</span>
    <ThemeSwitch />
    {#if onhelp}
      <button type="button" class="key h-6 max-sm:hidden" onclick={onhelp} aria-label="Keys" title="Keys">?</button>
    {/if}
  </div>
</header>
