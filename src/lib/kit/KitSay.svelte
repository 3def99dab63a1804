<script lang="ts">
  import type { Kit } from '$core/kit/schema';
  import { freeOf } from '$core/kit/units';
  import { readKit } from '$core/reader/kit';
  import { kitFaultText } from '$core/words/faults';
  import { kitItemName } from '$core/words/routes';
  import { kit as says } from '$core/words/screen/kit';
  import type { KitChange } from '$lib/protocol/kit';
  import { adding } from './changes';
  import { labelOf } from './labels';

  interface Props {
    kit: Kit;
    onchange: (changes: KitChange[], what: string) => void;
    /** What of a sentence or a file was not understood. */
    faults: readonly string[];
    onfaults: (faults: readonly string[]) => void;
  }
  /** What there is, said in words. */
  const { kit, onchange, faults, onfaults }: Props = $props();
  let text = $state('');
  let field: HTMLInputElement;
  export const focus = (): void => field.focus();
  const preview = $derived(text.trim() === '' ? null : readKit(text));

  function add(): void {
    const { items: all, faults: wrong } = readKit(text);
    const { items, taken } = freeOf(kit, all);
    if (items.length > 0)
      onchange(adding(kit, items), says.add2(items.length === 1 ? kitItemName(items[0]) : `${items.length} kinds`));
    // What was not understood stays in the field.
    onfaults([...wrong.map(kitFaultText), ...taken.map(says.isThereAlready)]);
    text = wrong.map((f) => f.text).join(', ');
  }
</script>

<form
  class="px-5 pt-3 max-sm:px-3.5"
  onsubmit={(event) => {
    event.preventDefault();
    add();
  }}
>
  <label class="sr-only" for="kit-say">{says.addToTheKitInWords}</label>
  <div class="flex gap-2">
    <input
      id="kit-say"
      bind:this={field}
      bind:value={text}
      class="input w-full"
      autocomplete="off"
      spellcheck="false"
      placeholder={says.sayWhatThereIs4Active}
      onkeydown={(event) => event.key === 'Escape' && field.blur()}
    />
    <button type="submit" class="btn btn-primary" disabled={!preview || preview.items.length === 0}>{says.add}</button>
  </div>
  <p class="min-h-[1.5em] pt-1 text-quiet" aria-live="polite" data-preview>
    {#if preview}
      {#each preview.items as item, k (k)}<span class="mr-2 whitespace-nowrap"
          ><span class="num text-base-content">{item.count} ×</span> {labelOf(item)}</span
        >{/each}
      {#each preview.faults as fault, k (k)}<span class="mr-2 text-warning">{fault.text}?</span>{/each}
    {:else}
      {says.boxesAdaptersLeadsWithLengthAnd} <kbd class="key">N</kbd>
      {says.toType}
      <kbd class="key">/</kbd>
      {says.toFind}
    {/if}
  </p>
  {#each faults as fault (fault)}<p class="text-error" role="alert">{fault}</p>{/each}
</form>
