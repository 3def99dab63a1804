<script lang="ts">
  import '../app.css';
  import { showLengthsIn } from '$core/units/lengths';
  import { keepProgram } from '$lib/offline/device';
  import { onMount } from 'svelte';
  import { Toaster } from 'svelte-sonner';

  const { data, children } = $props();
  // Whoever shows a length is drawn after this. A page is drawn in one go, on the server too.
  // svelte-ignore state_referenced_locally
  showLengthsIn(data.lengths);
  // The last to be mounted: from now on everything answers (see static/early.js).
  onMount(() => {
    window.dispatchEvent(new Event('page-ready'));
    keepProgram();
  });
</script>

{@render children()}
<Toaster position="bottom-center" closeButton toastOptions={{ unstyled: false }} />
