<script lang="ts">
  import ShowShell from '$lib/show/session/ShowShell.svelte';

  const { data, children } = $props();
</script>

{#key data.id}
  <ShowShell {data}>{@render children()}</ShowShell>
{/key}
