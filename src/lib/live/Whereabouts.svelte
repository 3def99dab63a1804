<script lang="ts">
  import { live as says } from '$core/words/screen/live';
  import type { Other } from './presence.svelte';

  interface Props {
    others: readonly Other[];
    lineName: (id: string) => string | null;
  }
  /** Who else has this show open, and where. */
  const { others, lineName }: Props = $props();
  const VIEWS: Readonly<Record<string, string>> = {
    '': says.lines,
    propose: says.proposal,
    schools: says.rulesOfThumb,
    kit: says.kit,
    paper: says.paper,
    check: says.lineCheck,
    earth: says.grounds,
    trace: says.trace,
    listen: says.listen,
    compare: says.compare
  };
  const where = ({ view, line }: Other): string => {
    const name = line === null ? null : lineName(line);
    const room = VIEWS[view] ?? says.thisShow;
    return name ? `${name} (${room})` : room;
  };
  const who = ({ name, device }: Other): string => (name === device ? device : `${name}, ${device}`);
</script>

{#if others.length > 0}
  <!-- Not on a phone: it would come and go in a line that is full, and move what is under a thumb. -->
  <details class="relative max-sm:hidden" data-whereabouts>
    <summary class="cursor-pointer list-none whitespace-nowrap text-quiet hover:text-base-content"
      >{says.otherHere(others.length, others.length === 1 ? says.other : says.others)}</summary
    >
    <ul class="absolute right-0 z-30 mt-2 min-w-56 rounded-[9px] border border-base-300 bg-card px-4 py-2 shadow">
      {#each others as other (other.tab)}
        <li class="py-1"><strong>{who(other)}</strong><br /><span class="text-quiet">{says.at(where(other))}</span></li>
      {/each}
    </ul>
  </details>
{/if}
