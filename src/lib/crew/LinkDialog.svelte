<script lang="ts">
  import { crew as says } from '$core/words/screen/crew';
  import { codeOf } from '$lib/ui/code-of';
  import Dialog from '$lib/ui/Dialog.svelte';
  import { type Snippet } from 'svelte';
  import { toast } from 'svelte-sonner';

  interface Props {
    title: string;
    path: string;
    origin: string;
    /** Under which other devices reach this server; null when none can. */
    originForOthers: string | null;
    onclose: () => void;
    children: Snippet;
  }
  const { title, path, origin, originForOthers, onclose, children }: Props = $props();

  const link = $derived(`${originForOthers ?? origin}${path}`);
  let code = $state('');
  $effect(() => {
    void codeOf(link).then((made) => (code = made));
  });

  let field: HTMLInputElement;
  async function copy(): Promise<void> {
    field.select();
    try {
      // Not there on pages without TLS; the older way still is.
      if (navigator.clipboard) await navigator.clipboard.writeText(link);
      else if (!document.execCommand('copy')) throw new Error();
      toast(says.copied);
    } catch {
      toast(says.itIsMarkedCopyItWith);
    }
  }
</script>

<Dialog {title} {onclose}>
  <p>{@render children()}</p>
  {#if originForOthers}
    <div class="mt-3 flex justify-center">
      <img src={code} alt={says.theLinkAsACodeTo} class="size-56 rounded-[7px] bg-white" />
    </div>
  {:else}
    <p class="mt-3 border-l-2 border-warning pl-3">
      {says.thisServerAnswersOnThisMachine}
      <span class="num">{says.host0000Npm}</span>.
    </p>
  {/if}
  <div class="mt-3 flex gap-2">
    <input bind:this={field} class="num input w-full text-[0.85em]" readonly value={link} aria-label={says.link} />
    <button type="button" class="btn btn-primary" onclick={copy}>{says.copy}</button>
  </div>
</Dialog>
