<script lang="ts">
  import { CONDITIONS, type Condition, type KitItem } from '$core/kit/schema';
  import { CONDITION_NAMES } from '$core/words/names';
  import { kit as says } from '$core/words/screen/kit';
  import { toast } from 'svelte-sonner';
  import { labelOf } from './labels';

  interface Props {
    id: string;
    item: KitItem;
    /** How many of it the show at hand uses; left out where there is no show. */
    used: number | undefined;
    chosen: boolean;
    onchoose: (on: boolean) => void;
    onedit: (change: Partial<KitItem>) => void;
    onhistory: (() => void) | undefined;
  }
  /** One kind of thing in the kit, its cells written in place. */
  const { id, item, used, chosen, onchoose, onedit, onhistory }: Props = $props();
  const label = $derived(labelOf(item));
  const MARK: Readonly<Record<Condition, string>> = {
    works: '',
    suspect: 'text-warning font-semibold',
    repair: 'text-error font-semibold'
  };
  function setCount(typed: HTMLInputElement): void {
    const count = Number(typed.value);
    if (/^\d{1,3}$/.test(typed.value.trim()) && count >= 1) onedit({ count });
    else {
      toast.error(says.aCountIsAWholeNumber);
      typed.value = String(item.count);
    }
  }
</script>

<tr class="border-b border-base-300 {chosen ? 'bg-base-200' : ''}" data-item={id}>
  <td class="c-sel"
    ><input
      type="checkbox"
      class="checkbox checkbox-sm align-middle"
      aria-label={says.select(label)}
      checked={chosen}
      onchange={(event) => onchoose(event.currentTarget.checked)}
    /></td
  >
  <td class="c-count py-1">
    <input
      class="cell num w-14 text-right"
      inputmode="numeric"
      aria-label={says.howManyOf(label)}
      value={item.count}
      onchange={(event) => setCount(event.currentTarget)}
    />
  </td>
  <td class="c-what leading-tight">{label}</td>
  {#if used !== undefined}
    <td class="c-used num text-right {used > item.count ? 'font-semibold text-error' : used > 0 ? '' : 'text-quiet'}"
      >{used > 0 ? `${used} of ${item.count}` : '–'}</td
    >
  {/if}
  {@render cell('c-name', says.ownNameOf(label), 'name', 80)}
  <td class="c-cond">
    <select
      class="cell w-full {MARK[item.condition]}"
      aria-label={says.conditionOf(label)}
      value={item.condition}
      onchange={(event) => onedit({ condition: event.currentTarget.value as Condition })}
    >
      {#each CONDITIONS as condition (condition)}<option value={condition}>{CONDITION_NAMES[condition]}</option>{/each}
    </select>
  </td>
  {@render cell('c-where', says.whereIs(label), 'place', 80)}
  {@render cell('c-note', says.noteOn(label), 'note', 500)}
  {#if onhistory}
    <td class="c-hist text-right"
      ><button
        type="button"
        class="text-quiet underline decoration-dotted hover:text-base-content"
        aria-label={says.historyOf(label)}
        onclick={onhistory}>{says.history2}</button
      ></td
    >
  {/if}
</tr>

{#snippet cell(place: string, says: string, field: 'name' | 'place' | 'note', most: number)}
  <td class={place}
    ><input
      class="cell w-full"
      placeholder="–"
      aria-label={says}
      value={item[field]}
      maxlength={most}
      onchange={(event) => onedit({ [field]: event.currentTarget.value.trim() })}
    /></td
  >
{/snippet}
