<script lang="ts">
  import { HELP, help as says, type HelpView } from '$core/words/screen/help';
  import Dialog from './Dialog.svelte';
  import HelpWords from './HelpWords.svelte';

  /** Help for the view one stands in. */
  const { view, onclose }: { view: HelpView; onclose: () => void } = $props();
</script>

<Dialog title={says.title(HELP[view].title)} {onclose}>
  <HelpWords {view} />
  <h3 class="heading mt-4">{says.keys}</h3>
  <dl class="grid grid-cols-[auto_1fr] items-baseline gap-x-4 gap-y-1.5 pt-1">
    {#each says.everywhere as [key, text] (key)}
      <dt class="text-right"><kbd class="key">{key}</kbd></dt>
      <dd>{text}</dd>
    {/each}
  </dl>
</Dialog>
