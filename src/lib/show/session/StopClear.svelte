<script lang="ts">
  import { session as says } from '$core/words/screen/session';
  import { cutText } from '$core/text/well-formed';
  import Dialog from '$lib/ui/Dialog.svelte';
  import { useShow } from './context';

  const { onclose }: { onclose: () => void } = $props();
  /** Two steps, and a name: nobody clears a stop by a slip of the thumb. */
  const show = useShow();
  let by = $state('');
  let found = $state('');
  let checked = $state(false);
  const ready = $derived(checked && by.trim() !== '');

  function clear(event: SubmitEvent): void {
    event.preventDefault();
    if (!ready) return;
    show.stops.clear({ by: cutText(by.trim(), 80), ...(found.trim() ? { found: cutText(found.trim(), 500) } : {}) });
    onclose();
  }
</script>

<Dialog title={says.clearTheStopTitle} {onclose}>
  <form class="grid gap-3" onsubmit={clear}>
    <p>{says.onlyWhoHasSeen}</p>
    <label class="flex items-start gap-2">
      <input type="checkbox" class="checkbox mt-0.5 checkbox-sm" bind:checked />
      <span>{says.itHasBeenChecked}</span>
    </label>
    <label class="grid gap-1"
      >{says.yourNameForIt}
      <input class="input w-full" bind:value={by} maxlength="80" autocomplete="name" required />
    </label>
    <label class="grid gap-1"
      >{says.whatWasFound}
      <textarea class="textarea w-full" rows="2" bind:value={found} maxlength="500"></textarea>
    </label>
    <div class="flex justify-end gap-2">
      <button type="button" class="btn" onclick={onclose}>{says.leaveItStanding}</button>
      <button class="btn btn-primary" disabled={!ready}>{says.clearIt}</button>
    </div>
  </form>
</Dialog>
