<script lang="ts">
  import { dialogs as says } from '$core/words/screen/dialogs';
  import { SHORTCUTS } from '$lib/show/board/shortcuts';
  import { singleKeys } from '$lib/ui/keys';
  import Dialog from '$lib/ui/Dialog.svelte';
  import HelpWords from '$lib/ui/HelpWords.svelte';

  const { onclose }: { onclose: () => void } = $props();
  const KEYS = Object.values(SHORTCUTS).filter(({ shown }) => shown.length > 0);
</script>

<Dialog title={says.keys} {onclose}>
  <label class="mb-3 flex cursor-pointer items-center gap-3"
    ><input type="checkbox" class="checkbox checkbox-sm" bind:checked={singleKeys.on} />{says.singleKeysOff}</label
  >
  <dl class="grid grid-cols-[auto_1fr] items-baseline gap-x-4 gap-y-1.5">
    {#each KEYS as { shown, text } (text)}
      <dt class="text-right">
        {#each shown as key, k (k)}{#if k > 0}&nbsp;{/if}<kbd class="key">{key}</kbd>{/each}
      </dt>
      <dd>{text}</dd>
    {/each}
  </dl>
  <div class="mt-5"><HelpWords view="lines" /></div>
</Dialog>
