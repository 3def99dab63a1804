<script lang="ts">
  import { log as says } from '$core/words/screen/log';
  import { LOG_LIMITS } from '$core/log/entry';
  import { type Nameable, readTypedEntry } from '$core/log/typed';
  import ReadAs from './ReadAs.svelte';

  interface Props {
    lines: readonly Nameable[];
    lineName: (id: string) => string | null;
    /** The take that comes next, and of what. */
    next: { readonly take: number; readonly song: string | undefined } | null;
    onwrite: (text: string) => Promise<void>;
    /** In a narrow column. */
    short?: boolean;
  }
  /** One field for whatever happens: what was understood of it stands below while one types. */
  const { lines, lineName, next, onwrite, short = false }: Props = $props();
  let text = $state('');
  let field = $state<HTMLInputElement>();
  const read = $derived(text.trim() === '' ? null : readTypedEntry(text, lines));
  const anything = $derived(
    read && (read.kind === 'take' || read.tags.length > 0 || Object.keys(read.facts).length > 0)
  );

  async function write(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const typed = text.trim();
    if (typed === '') return;
    text = '';
    await onwrite(typed);
    field?.focus();
  }
  function begin(): void {
    text = [next!.song, says.nextTake(next!.take).toLowerCase(), ''].filter((t) => t !== undefined).join(' ');
    field?.focus();
  }
</script>

<form onsubmit={write} class="grid gap-1.5">
  <label class={short ? 'sr-only' : 'font-semibold'} for="log-text">{says.whatHappened}</label>
  <div class="flex flex-wrap gap-2">
    <input
      id="log-text"
      bind:this={field}
      bind:value={text}
      maxlength={LOG_LIMITS.text}
      autocomplete="off"
      class="input min-w-0 flex-1 {short ? 'basis-full' : 'h-12 basis-72 text-[1.05em]'}"
      placeholder={says.forExample}
    />
    {#if next}<button type="button" class="btn {short ? 'btn-sm' : 'h-12'}" onclick={begin}
        >{says.nextTake(next.take)}</button
      >{/if}
    <button class="btn btn-primary {short ? 'btn-sm' : 'h-12'}" disabled={text.trim() === ''}>{says.writeItDown}</button
    >
  </div>
  <p class="flex min-h-7 flex-wrap items-center gap-1.5 text-[0.93em] text-quiet" aria-live="polite">
    {#if read && anything}{says.read}<ReadAs
        facts={read.facts}
        tags={read.tags}
        {lineName}
      />{:else}{says.enterLogsIt}{/if}
  </p>
</form>
