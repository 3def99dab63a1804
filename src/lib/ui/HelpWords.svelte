<script lang="ts">
  import { HELP, help as says, type HelpView } from '$core/words/screen/help';

  /** What a view is for, and what its words and numbers mean. */
  const { view }: { view: HelpView } = $props();
  const told = $derived(HELP[view]);
</script>

<p class="leading-snug">{told.what}</p>
<h3 class="heading mt-4">{says.meaning}</h3>
<dl class="grid gap-y-1.5 pt-1 leading-snug" data-help={view}>
  {#each told.words as [term, meaning] (term)}
    <div>
      <dt class="inline font-semibold">{term}</dt>
      <dd class="inline pl-2">{meaning}</dd>
    </div>
  {/each}
</dl>
<p class="pt-3"><a class="link" href="/learn">{says.lesson}</a></p>
