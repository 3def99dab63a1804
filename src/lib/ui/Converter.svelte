<script lang="ts">
  import { convert } from '$core/units/convert';
  import { convertedText } from '$core/words/converted';
  import { unitFaultText } from '$core/words/faults';
  import { ui as says } from '$core/words/screen/ui';
  import Dialog from './Dialog.svelte';

  const { onclose }: { onclose: () => void } = $props();
  let text = $state('');
  const made = $derived(text.trim() === '' ? null : convert(text));
  const focus = (field: HTMLInputElement): void => field.focus();
</script>

<Dialog title={says.convert} {onclose}>
  <input
    class="num input w-full"
    bind:value={text}
    {@attach focus}
    maxlength="80"
    autocomplete="off"
    autocapitalize="off"
    spellcheck="false"
    placeholder={says.convertSuchAs}
    aria-label={says.whatToConvert}
    aria-describedby="converted"
  />
  <div id="converted" class="min-h-[7.5em] pt-3" aria-live="polite">
    {#if made === null}
      <p class="text-quiet">
        {says.tryConverting}
        {#each says.conversions as example, k (example)}{#if k > 0},{/if}
          <button type="button" class="num text-primary underline" onclick={() => (text = example)}>{example}</button
          >{/each}.
      </p>
    {:else if made.ok}
      <ul>
        {#each made.converted.rows as row (row.figure)}
          <li class="border-b border-base-300 py-1">
            <span class="num font-semibold" data-figure={row.figure}>{convertedText(row)}</span>
          </li>
        {/each}
      </ul>
    {:else}
      <p class="text-quiet" data-unread>{unitFaultText(made.error)}</p>
    {/if}
  </div>
</Dialog>
