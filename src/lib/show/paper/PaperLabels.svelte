<script lang="ts">
  import { codeOf } from '$lib/ui/code-of';
  import { paper as says } from '$core/words/screen/paper';
  import type { Label } from '$core/paper/cables';

  interface Props {
    labels: readonly Label[];
    /** Of the show's lines, without the line's id. */
    address: string;
  }
  /** Labels for both ends of every cable and for every box, each with a code that opens its line. */
  const { labels, address }: Props = $props();

  let codes = $state.raw<ReadonlyMap<string, string>>(new Map());
  $effect(() => {
    const ids = [...new Set(labels.map((l) => l.lineId))];
    void Promise.all(ids.map(async (id) => [id, await codeOf(`${address}${id}`, 0)] as const)).then(
      (made) => (codes = new Map(made))
    );
  });
</script>

<h2 class="text-[1.6em] font-bold">{says.labels}</h2>
<p class="text-[0.93em]">{says.twoForEveryCableOneFor}</p>
<ul class="grid grid-cols-3 pt-3 max-sm:grid-cols-1">
  {#each labels as label (label.key)}
    <li class="flex break-inside-avoid items-start gap-2 border border-dotted border-neutral-500 p-2">
      <span class="min-w-0 flex-1">
        <span class="block text-[1.7em] leading-tight font-bold">{label.tag}</span>
        <strong class="block truncate">{label.line}</strong>
        <span class="block text-[0.93em]">{label.at}</span>
      </span>
      {#if codes.get(label.lineId)}
        <img class="size-14 shrink-0" src={codes.get(label.lineId)} alt={says.codeThatOpens(label.line)} />
      {/if}
    </li>
  {/each}
</ul>
