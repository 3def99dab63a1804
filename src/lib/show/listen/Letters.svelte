<script lang="ts">
  import { listen as says } from '$core/words/screen/listen';

  interface Props {
    letters: readonly string[];
    /** Which of them is heard; null while none is. */
    on: number | null;
    /** Which have been heard. */
    heard: ReadonlySet<number>;
    onhear: (k: number) => void;
  }
  /** Large letters, and nothing else that could tell. */
  const { letters, on, heard, onhear }: Props = $props();
</script>

<div class="flex flex-wrap gap-3">
  {#each letters as letter, k (letter)}
    <button
      type="button"
      class="btn h-24 min-w-24 flex-1 font-bold {on === k ? 'btn-primary' : ''}"
      aria-label={says.hearLetter(letter)}
      aria-pressed={on === k}
      data-heard={heard.has(k)}
      onclick={() => onhear(k)}><span class="text-[2.6rem] leading-none">{letter}</span></button
    >
  {/each}
</div>
