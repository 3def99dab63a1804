<script lang="ts">
  import { log as says } from '$core/words/screen/log';
  import { ENTRY_KINDS } from '$core/log/entry';
  import { KIND_NAMES } from '$core/words/log';
  import type { Snippet } from 'svelte';

  interface Props {
    q: string;
    kind: string;
    label: string;
    kindLabel: string;
    large?: boolean;
    /** Called when it is time to ask, a moment after the last letter. */
    onask: () => void;
    /** What else it can be narrowed by, between the words and the kind; `ask` when it was changed. */
    more?: Snippet<[ask: () => void]>;
  }
  /** The field for words, and the choice of a kind. */
  // eslint-disable-next-line prefer-const -- two of them are written to from here
  let { q = $bindable(), kind = $bindable(), label, kindLabel, large = false, onask, more }: Props = $props();
  /** Long enough for the next letter, short enough not to be waited for, milliseconds. */
  const TYPING = 200;
  let typing: ReturnType<typeof setTimeout> | undefined;
  function ask(): void {
    clearTimeout(typing);
    typing = setTimeout(onask, TYPING);
  }
</script>

<input
  type="search"
  class="input min-w-0 flex-1 {large ? 'h-12 basis-72 text-[1.05em]' : 'basis-60'}"
  aria-label={label}
  placeholder={says.searchFor}
  bind:value={q}
  oninput={ask}
/>
{@render more?.(ask)}
<select class="select w-auto {large ? 'h-12' : ''}" aria-label={kindLabel} bind:value={kind} onchange={ask}>
  <option value="">{says.everything}</option>
  {#each ENTRY_KINDS as k (k)}<option value={k}>{KIND_NAMES[k]}</option>{/each}
</select>
