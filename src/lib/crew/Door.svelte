<script lang="ts">
  import { crew as says } from '$core/words/screen/crew';
  import ThemeSwitch from '$lib/ui/ThemeSwitch.svelte';
  import type { Snippet } from 'svelte';

  interface Props {
    title: string;
    children: Snippet;
  }
  /** The page of somebody who is not in yet. */
  const { title, children }: Props = $props();
</script>

<svelte:head><title>{says.guanxi(title)}</title></svelte:head>
<main class="mx-auto grid min-h-dvh max-w-[400px] content-center gap-5 px-5 py-10">
  <div class="flex items-center justify-between">
    <p class="text-[1.3em] font-bold tracking-tight">{says.guanxi2}</p>
    <ThemeSwitch />
  </div>
  <h1 class="text-[1.6em] leading-tight font-bold">{title}</h1>
  {@render children()}
</main>
