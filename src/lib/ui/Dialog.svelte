<script lang="ts">
  import { ui as says } from '$core/words/screen/ui';
  import { onMount, type Snippet } from 'svelte';

  interface Props {
    title: string;
    onclose: () => void;
    children: Snippet;
    wide?: boolean;
  }
  const { title, onclose, children, wide = false }: Props = $props();
  const FIRST =
    'input:not([type=hidden], [type=file], [readonly], :disabled), select:not(:disabled), textarea:not(:disabled), [data-first]';
  let dialog: HTMLDialogElement;

  onMount(() => {
    // The element is gone from the page before it could hand the focus back itself.
    const opener = document.activeElement as HTMLElement | null;
    dialog.showModal();
    // One opens it to write or to choose: Enter must not meet the button that closes it.
    const first = dialog.querySelector<HTMLElement>(FIRST);
    first?.focus();
    if (first instanceof HTMLInputElement && first.type === 'text') first.select();
    return () => {
      dialog.close();
      opener?.focus();
    };
  });
</script>

<dialog
  bind:this={dialog}
  class="m-auto max-h-[92dvh] w-full overflow-y-auto rounded-[9px] border border-base-300 bg-card p-0 text-base-content backdrop:bg-black/45 {wide
    ? 'max-w-[640px]'
    : 'max-w-[460px]'} max-sm:mb-0 max-sm:max-w-none"
  aria-label={title}
  oncancel={(event) => {
    event.preventDefault();
    onclose();
  }}
  onclick={(event) => event.target === dialog && onclose()}
>
  <div class="p-5">
    <div class="mb-3 flex items-start justify-between gap-3">
      <h2 class="text-[1.2em] font-bold">{title}</h2>
      <button type="button" class="-mt-1 px-2 py-1 text-quiet hover:text-base-content" onclick={onclose}
        >{says.close}</button
      >
    </div>
    {@render children()}
  </div>
</dialog>
