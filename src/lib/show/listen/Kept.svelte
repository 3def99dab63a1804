<script lang="ts">
  import { listen as says } from '$core/words/screen/listen';

  interface Props {
    text: string;
    mayWrite: boolean;
    onwrite: (text: string, who: string) => Promise<void>;
    onagain: () => void;
  }
  /** What a test said, to be written down with who it was. */
  const { text, mayWrite, onwrite, onagain }: Props = $props();
  let who = $state('');
  let kept = $state(false);
</script>

<section class="grid gap-3" aria-labelledby="test-result">
  <h2 class="heading" id="test-result">{says.result}</h2>
  <p class="text-[1.15em] leading-snug" role="status" data-result>{text}</p>
  {#if mayWrite && !kept}
    <form
      class="flex flex-wrap gap-2"
      onsubmit={async (event) => {
        event.preventDefault();
        await onwrite(text, who);
        kept = true;
      }}
    >
      <input
        class="input min-w-0 flex-1 basis-48"
        aria-label={says.whoListened}
        placeholder={says.whoListened}
        maxlength="80"
        autocomplete="off"
        bind:value={who}
      />
      <button class="btn btn-primary">{says.keep}</button>
    </form>
  {/if}
  <button type="button" class="btn justify-self-start" onclick={onagain}>{says.again}</button>
</section>
