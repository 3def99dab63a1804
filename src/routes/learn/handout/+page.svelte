<script lang="ts">
  import { lessons as says } from '$core/words/screen/lessons';
  import Handout from '$lib/learn/Handout.svelte';
  import Header from '$lib/ui/Header.svelte';
</script>

<svelte:head><title>{says.page(says.handoutTitle)}</title></svelte:head>
<Header />
<Handout />
