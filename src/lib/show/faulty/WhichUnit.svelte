<script lang="ts">
  import { kitCalled } from '$core/words/kit-life';
  import { check as says } from '$core/words/screen/check';
  import Dialog from '$lib/ui/Dialog.svelte';
  import type { FailedUnits } from './failed-units.svelte';

  /** Which numbered thing of the kit failed. */
  const { failed }: { failed: FailedUnits } = $props();
</script>

{#if failed.which}
  {@const { units, others, choose } = failed.which}
  <Dialog title={says.whichOne} onclose={() => (failed.which = null)}>
    <div class="grid gap-2" data-which>
      {#each units as { id, item } (id)}
        <button type="button" class="btn h-auto min-h-12 justify-start py-1.5 text-left" onclick={() => choose(id)}
          >{kitCalled(item)}</button
        >
      {/each}
      {#if others}
        <button type="button" class="btn min-h-12 justify-start" onclick={() => choose(undefined)}
          >{says.oneWithoutNumber}</button
        >
      {/if}
      <button type="button" class="btn min-h-12 btn-ghost" onclick={() => (failed.which = null)}
        >{says.nobodyKnows}</button
      >
    </div>
  </Dialog>
{/if}
