<script lang="ts">
  import { log as says } from '$core/words/screen/log';
  import type { EntryFacts } from '$core/log/entry';

  interface Props {
    facts: EntryFacts;
    tags: readonly string[];
    lineName: (id: string) => string | null;
  }
  /** What was understood of an entry, as small words beside each other. */
  const { facts, tags, lineName }: Props = $props();
  const parts = $derived([
    ...(facts.song ? [says.song(facts.song)] : []),
    ...(facts.take ? [says.take(facts.take)] : []),
    ...(facts.marks ?? []),
    ...(facts.timecode ? [says.at(facts.timecode)] : []),
    ...(facts.lines ?? []).slice(0, 6).flatMap((id) => lineName(id) ?? []),
    ...tags.map((t) => `#${t}`)
  ]);
</script>

{#each parts as part, k (k)}<span class="rounded bg-base-200 px-1.5 py-0.5">{part}</span>{/each}
