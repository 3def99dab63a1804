<script lang="ts">
  import type { Failed } from '$lib/show/session/failed';

  const { failed, what }: { failed: Failed; what: string } = $props();
</script>

<p class="py-2 text-error" role="alert">{what} could not be computed. It is in the server’s log as {failed.id}.</p>
