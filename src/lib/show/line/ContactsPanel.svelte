<script lang="ts">
  import { line as says } from '$core/words/screen/line';
  import type { Line } from '$core/plan/lines';
  import type { Plan } from '$core/plan/schema';
  import Connector from './Connector.svelte';

  const { plan, line, showId }: { plan: Plan; line: Line; showId: string } = $props();
</script>

<div class="px-5 pt-2 max-sm:px-3.5" data-panel="contacts">
  <h2 class="heading">{says.whatEachContactCarries}</h2>
  <div class="grid grid-cols-2 gap-x-8 gap-y-3 pt-2 max-lg:grid-cols-1">
    {#each line.cables as cable (cable)}<Connector {plan} {cable} />{/each}
  </div>
  <p class="pt-2 text-quiet">
    {says.aRedBarIsAContact}
    <a class="link" href="/show/{showId}/listen?line={line.id}&with=faults">{says.hearFaults}</a>
  </p>
</div>
