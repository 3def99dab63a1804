<script lang="ts">
  import { page } from '$app/state';
  import { helpViewOf } from './help-view';
  import HelpDialog from './HelpDialog.svelte';

  /** Help for the address one is at. */
  const { onclose }: { onclose: () => void } = $props();
  const view = $derived(helpViewOf(page.url.pathname) ?? 'shows');
</script>

<HelpDialog {view} {onclose} />
