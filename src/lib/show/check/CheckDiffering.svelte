<script lang="ts">
  import { check as says } from '$core/words/screen/check';
  import { type MergedReading, READ_FIELDS, type ReadField, type Said } from '$core/linecheck/merge';
  import { readValueText, READ_FIELD_NAMES } from '$core/words/check';
  import type { CheckEntry } from './check-entry.svelte';

  interface Props {
    entry: CheckEntry;
    said: MergedReading['said'];
  }
  /** Where people read one thing differently, both stand here until somebody says which holds. */
  const { entry, said }: Props = $props();
  const differing = $derived(READ_FIELDS.filter((f) => said[f].length > 1));
  const who = (s: Said): string => s.by ?? says.you;
  const text = (field: ReadField, s: Said): string => `${who(s)}: ${readValueText(field, s.value)}`;
</script>

{#each differing as field (field)}
  <div
    class="mt-2 rounded-[9px] border border-warning px-3 py-2"
    role="group"
    aria-label={says.readDifferently(READ_FIELD_NAMES[field])}
    data-differing={field}
  >
    <p class="font-semibold">{says.twoPeopleReadItDifferently(READ_FIELD_NAMES[field])}</p>
    <div class="flex flex-wrap gap-2 pt-1">
      {#each said[field] as s (s.id)}
        <button type="button" class="btn min-h-11" onclick={() => entry.choose(field, s.value as never)}
          >{text(field, s)}</button
        >
      {/each}
    </div>
    <p class="pt-1 text-quiet">{says.pressTheOneThatHoldsThen}</p>
  </div>
{/each}
