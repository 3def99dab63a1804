<script lang="ts">
  import { editText } from '$core/words/faults';
  import NotMerged from '$lib/ui/NotMerged.svelte';
  import type { ShowSession } from './session.svelte';

  /** Edits that the server did not take, or that did not fit what others did, each waiting for a decision. */
  const { session }: { session: ShowSession } = $props();
</script>

<NotMerged
  items={session.aside.map(({ item, why }) => ({ id: item.edit.id, what: editText(item.edit), why, item }))}
  ondecide={(k, mine) => session.decide(k, mine)}
/>
