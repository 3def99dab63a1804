<script lang="ts">
  import { ui as says } from '$core/words/screen/ui';
  import type { Failed } from '$lib/show/session/failed';

  const { failed, what }: { failed: Failed; what: string } = $props();
</script>

<p class="py-2 text-error" role="alert">{says.couldNotBeComputedItIs(what, failed.id)}</p>
