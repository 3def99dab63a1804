<script lang="ts">
  import '../app.css';
  import { showLengthsIn } from '$core/units/lengths';
  import { keepProgram } from '$lib/offline/device';
  import { type Component, onMount } from 'svelte';

  const { data, children } = $props();
  // Whoever shows a length is drawn after this. A page is drawn in one go, on the server too.
  // svelte-ignore state_referenced_locally
  showLengthsIn(data.lengths);
  let Toasts = $state.raw<Component>();
  // The last to be mounted: from now on everything answers (see static/early.js).
  onMount(() => {
    window.dispatchEvent(new Event('page-ready'));
    keepProgram();
    void import('$lib/ui/Toasts.svelte').then((it) => (Toasts = it.default)).catch(() => undefined);
  });
</script>

{@render children()}
<Toasts />
