<script lang="ts">
  import '../app.css';
  import { onMount } from 'svelte';
  import { Toaster } from 'svelte-sonner';

  const { children } = $props();
  // The last to be mounted: from now on everything answers (see static/early.js).
  onMount(() => void window.dispatchEvent(new Event('page-ready')));
</script>

{@render children()}
<Toaster position="bottom-center" closeButton toastOptions={{ unstyled: false }} />
