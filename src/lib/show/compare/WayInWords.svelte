<script lang="ts">
  import { branchOf } from '$core/plan/branch';
  import type { Line } from '$core/plan/lines';
  import type { Plan } from '$core/plan/schema';
  import { boxText, cableText, inputText, sourceText } from '$core/words/paper';

  const { plan, line }: { plan: Plan; line: Line } = $props();
  const from = $derived(branchOf(plan, line)?.at ?? 0);
  const boxes = $derived(line.devices.slice(from + 1, -1));
  const cables = $derived(line.cables.slice(from));
</script>

<p class="rounded-[9px] border border-base-300 bg-card px-3 py-2 leading-relaxed">
  <strong>{sourceText(plan, line)}</strong>
  {#each cables as id, k (id)}
    <span class="ml-1 text-quiet">{cableText(plan.cables[id])} →</span>
    <strong>{k < boxes.length ? boxText(plan.devices[boxes[k]]) : inputText(plan, line)}</strong>
  {/each}
</p>
