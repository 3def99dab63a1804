<script lang="ts">
  import { ui as says } from '$core/words/screen/ui';
  import { saveFile } from '$lib/ui/save-file';
  interface Props {
    /** What was to be done, and why it was not. */
    items: readonly { readonly id: string; readonly what: string; readonly why: string; readonly item: unknown }[];
    ondecide: (index: number, mine: boolean) => void;
  }
  /** Changes that no longer fit what others did: nothing is lost until a person has decided. */
  const { items, ondecide }: Props = $props();
  const save = (): void => saveFile('not-merged.json', 'application/json', JSON.stringify(items, null, 2));
</script>

{#if items.length > 0}
  <section
    class="mx-5 mt-3 rounded-[9px] border border-warning bg-card px-4 py-2.5 max-sm:mx-3.5"
    aria-label={says.changesThatDidNotFit}
  >
    {#each items as item, k (item.id)}
      <p class="flex flex-wrap items-center gap-x-3 gap-y-1 py-1">
        <span><strong>{says.notMerged}</strong> {item.what}. {item.why}</span>
        <span class="ml-auto flex gap-2">
          <button type="button" class="btn btn-primary btn-sm" onclick={() => ondecide(k, true)}
            >{says.doItAnyway}</button
          >
          <button type="button" class="btn btn-sm" onclick={() => ondecide(k, false)}>{says.keepWhatIsThere}</button>
        </span>
      </p>
    {/each}
    <button type="button" class="py-1 text-quiet underline" onclick={save}>{says.saveThemAsAFile}</button>
  </section>
{/if}
