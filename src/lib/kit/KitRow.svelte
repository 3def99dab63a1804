<script lang="ts">
  import { CONDITIONS, type Condition, type KitItem, unitOf } from '$core/kit/schema';
  import { inCondition } from '$core/kit/units';
  import { kindOf } from '$core/words/kit-life';
  import { CONDITION_NAMES } from '$core/words/names';
  import { kit as says } from '$core/words/screen/kit';
  import { toast } from 'svelte-sonner';
  import { CONDITION_MARK, labelOf } from './labels';

  interface Props {
    id: string;
    item: KitItem;
    /** How many of it the show at hand uses; left out where there is no show. */
    used: number | undefined;
    chosen: boolean;
    onchoose: (on: boolean) => void;
    onedit: (change: Partial<KitItem>) => void;
    /** Where its life stands; left out where it has none. */
    life: string | undefined;
  }
  /** One kind of thing in the kit, its cells written in place. */
  const { id, item, used, chosen, onchoose, onedit, life }: Props = $props();
  const label = $derived(labelOf(item));
  const unit = $derived(unitOf(item));
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
      disabled={unit !== undefined}
      value={item.count}
      onchange={(event) => setCount(event.currentTarget)}
    />
  </td>
  <td class="c-what leading-tight"
    >{#if unit}<span class="mr-1.5 rounded border border-base-content px-1 font-semibold whitespace-nowrap"
        >{unit.label}</span
      >{/if}{kindOf(item)}</td
  >
  {#if used !== undefined}
    <td class="c-used num text-right {used > item.count ? 'font-semibold text-error' : used > 0 ? '' : 'text-quiet'}"
      >{used > 0 ? `${used} of ${item.count}` : '–'}</td
    >
  {/if}
  {@render cell('c-name', says.ownNameOf(label), 'name', 80)}
  <td class="c-cond">
    <select
      class="cell w-full {CONDITION_MARK[item.condition]}"
      aria-label={says.conditionOf(label)}
      value={item.condition}
      onchange={(event) => onedit(inCondition(item, event.currentTarget.value as Condition))}
    >
      {#each CONDITIONS as condition (condition)}<option value={condition}>{CONDITION_NAMES[condition]}</option>{/each}
    </select>
  </td>
  {@render cell('c-where', says.whereIs(label), 'place', 80)}
  {@render cell('c-note', says.noteOn(label), 'note', 500)}
  {#if life}
    <td class="c-hist text-right"
      ><a class="link text-quiet hover:text-base-content" href={life} aria-label={says.historyOf(label)}
        >{says.history2}</a
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
