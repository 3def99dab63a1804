<script lang="ts">
  import { Toaster } from 'svelte-sonner';
  /* Where what is told in passing appears. Fetched behind the first view: until it is there, what is told waits. */
</script>

<Toaster position="bottom-center" closeButton toastOptions={{ unstyled: false }} />
