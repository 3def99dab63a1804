<script lang="ts">
  import { pages as says } from '$core/words/screen/pages';
  import { page } from '$app/state';
  import Header from '$lib/ui/Header.svelte';
</script>

<svelte:head><title>{says.notHereGuanxi}</title></svelte:head>
<Header />
<main class="px-5 py-16 text-center">
  <h1 class="text-[1.4em] font-bold">{page.error?.message ?? says.somethingFailed}</h1>
  <p class="pt-2 text-quiet">
    {#if page.error?.id}{says.itIsInTheServersLog}
      <span class="num text-base-content">{page.error.id}</span
      >{says.reloadingMayHelp}{:else}{says.theAddressMayBeOld}{/if}
  </p>
  <p class="pt-4"><a class="text-primary underline" href="/">{says.allShows}</a></p>
</main>
