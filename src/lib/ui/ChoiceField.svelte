<script lang="ts">
  interface Props {
    label: string;
    value: string;
    choices: readonly { value: string; text: string }[];
    onset: (value: string) => void;
  }
  const { label, value, choices, onset }: Props = $props();
  const id = $props.id();
  const few = $derived(choices.length <= 3 && choices.every((c) => c.text.length < 12));
</script>

<div class="grid grid-cols-[1fr_auto] items-center gap-x-3 py-1">
  {#if few}
    <span id="{id}-l">{label}</span>
    <div class="join" role="group" aria-labelledby="{id}-l">
      {#each choices as choice (choice.value)}
        <button
          type="button"
          class="btn join-item btn-sm {choice.value === value ? 'btn-primary' : 'border-base-300'}"
          aria-pressed={choice.value === value}
          onclick={() => choice.value !== value && onset(choice.value)}>{choice.text}</button
        >
      {/each}
    </div>
  {:else}
    <label for={id}>{label}</label>
    <select
      {id}
      class="select w-60 select-sm max-sm:w-44"
      {value}
      onchange={(event) => onset(event.currentTarget.value)}
    >
      {#each choices as choice (choice.value)}
        <option value={choice.value}>{choice.text}</option>
      {/each}
    </select>
  {/if}
</div>
