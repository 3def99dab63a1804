<script lang="ts">
  import { pages as says } from '$core/words/screen/pages';
  import Door from '$lib/crew/Door.svelte';
  import { send } from '$lib/ui/send';

  const { data } = $props();
  let busy = $state(false);
  let wrong = $state<string | null>(null);

  async function join(): Promise<void> {
    busy = true;
    const sent = await send('POST', '/api/auth/device-code/use', { code: data.code });
    if (sent.ok) location.assign('/');
    else wrong = sent.status === 429 ? says.tooManyTriesWaitAMinute : sent.message;
    busy = false;
  }
</script>

<Door title={says.useThisDevice}>
  <p>{says.itWillBeSignedInAs}</p>
  {#if wrong}<p class="border-l-2 border-error pl-3" role="alert">{wrong}</p>{/if}
  <button type="button" class="btn h-14 text-[1.1em] btn-primary" disabled={busy} onclick={join}>{says.join2}</button>
</Door>
