<script lang="ts">
  import '../app.css';
  import { Toaster } from 'svelte-sonner';

  const { children } = $props();
</script>

{@render children()}
<Toaster position="bottom-center" closeButton toastOptions={{ unstyled: false }} />
