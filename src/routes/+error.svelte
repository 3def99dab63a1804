<script lang="ts">
  import { page } from '$app/state';
  import Header from '$lib/ui/Header.svelte';
</script>

<svelte:head><title>Not here · Guanxi</title></svelte:head>
<Header />
<main class="px-5 py-16 text-center">
  <h1 class="text-[1.4em] font-bold">{page.error?.message ?? 'Something failed.'}</h1>
  <p class="pt-2 text-quiet">
    {#if page.error?.id}It is in the server’s log as <span class="num text-base-content">{page.error.id}</span>.
      Reloading may help.{:else}The address may be old.{/if}
  </p>
  <p class="pt-4"><a class="text-primary underline" href="/">All shows</a></p>
</main>
