<script lang="ts">
  interface Props {
    name: string;
    value: string;
    most: number;
    example?: string;
    disabled?: boolean;
    wide?: boolean;
    /** May be several lines of text. */
    long?: boolean;
    onset: (value: string) => void;
  }
  /** Something that is known, written in place: it looks like text until one goes there, and is kept as one leaves it. */
  const { name, value, most, example = '', disabled = false, wide = false, long = false, onset }: Props = $props();
  /** While one types, what others change does not write over it. */
  let typed = $state<string | null>(null);
</script>

<label class="grid content-start gap-0 {wide ? 'col-span-full' : ''}">
  <span class="text-[0.93em] text-quiet">{name}</span>
  {#if long}
    <textarea
      class="field-sizing-content min-h-9 w-full resize-none border-b border-base-300 bg-transparent py-1.5 placeholder:text-secondary hover:border-base-content focus:border-primary max-sm:min-h-11"
      rows="1"
      maxlength={most}
      placeholder={example}
      {disabled}
      value={typed ?? value}
      oninput={(event) => (typed = event.currentTarget.value)}
      onblur={() => (typed = null)}
      onchange={(event) => onset(event.currentTarget.value.trim())}></textarea>
  {:else}
    <input
      class="h-9 w-full border-b border-base-300 bg-transparent text-ellipsis placeholder:text-secondary hover:border-base-content focus:border-primary max-sm:h-11"
      autocomplete="off"
      maxlength={most}
      placeholder={example}
      {disabled}
      value={typed ?? value}
      oninput={(event) => (typed = event.currentTarget.value)}
      onblur={() => (typed = null)}
      onchange={(event) => onset(event.currentTarget.value.trim())}
    />
  {/if}
</label>
