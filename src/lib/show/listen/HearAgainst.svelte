<script lang="ts">
  import { listen as says } from '$core/words/screen/listen';
  import { letterOf } from '$core/hear/fair';
  import type { Against, Explanation } from '$core/hear/explain';
  import { againstText, explanationText } from '$core/words/hear';
  import { formatNumber } from '$core/units/format';
  import type { Plan } from '$core/plan/schema';
  import ChartCanvas from '$lib/ui/ChartCanvas.svelte';
  import { uuid } from '$lib/uuid';
  import { onMount } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { Hearing } from './hearing.svelte';
  import type { HearDesk } from './hear-desk.svelte';

  /** Two takes of one performance against what the plan says lies between them; where that misses, the value that would explain it. */
  const { desk }: { desk: HearDesk } = $props();
  const hearing = new Hearing();
  onMount(() => () => hearing.cancel());
  const takes = $derived([...desk.ready.keys()].filter((k) => desk.ready[k].through.kind === 'take'));
  const through = $state(['', '']);
  let told = $state.raw<Against | null>(null);
  let asked = $state(false);

  async function compare(): Promise<void> {
    [asked, told] = [false, null];
    const [a, b] = through.map((key) => desk.ways.find((w) => w.key === key)?.through);
    if (!a || !b) return;
    const [x, y] = takes.map((k) => desk.heard[k].samples);
    const plan = $state.snapshot(desk.plan) as Plan;
    told = await hearing.against(
      plan,
      [x, y],
      [$state.snapshot(a) as typeof a, $state.snapshot(b) as typeof b],
      desk.player.rate
    );
    asked = hearing.failed === null;
  }
  async function take(e: Explanation): Promise<void> {
    const subject = explanationText(desk.plan, e).slice(0, 80);
    if (!desk.show.session.do({ id: uuid(), label: { code: 'set', subject }, ops: [...e.ops] })) return;
    toast.success(says.takenOver);
    await compare();
  }
</script>

{#if takes.length === 2}
  <section class="grid gap-2" data-against>
    <h2 class="heading">{says.against}</h2>
    <p class="text-quiet">{says.againstTeach}</p>
    <div class="flex flex-wrap gap-x-5 gap-y-2">
      {#each takes as k, side (k)}
        <label class="grid gap-0.5"
          ><span class="text-[0.93em] text-quiet">{says.cameThrough(letterOf(k))}</span>
          <select class="select w-64 max-w-full" bind:value={through[side]} onchange={() => void compare()}>
            <option value="">{says.notSaid}</option>
            {#each desk.ways as w (w.key)}<option value={w.key}>{w.name}</option>{/each}
          </select></label
        >
      {/each}
    </div>
    {#if hearing.progress !== null}<p class="text-quiet" role="status">{says.holdingAgainst}</p>{/if}
    {#if hearing.failed}<p class="text-error" role="alert">{says.cannotBeHeard(hearing.failed)}</p>{/if}
    {#if told}
      {@const now = told}
      <p class="font-semibold" role="status">{againstText(now)}</p>
      <ChartCanvas
        load={async () => (await import('./against-view')).AgainstView}
        draw={(view) => view.draw(now)}
        label={says.againstChart(formatNumber(now.misses, 1))}
        failure={says.noChart}
        height="h-[200px]"
      />
      {#if now.explained.length > 1}<p class="text-quiet">{says.oneOf}</p>{/if}
      <ul>
        {#each now.explained as e (`${e.of} ${e.param}`)}
          <li class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-base-300 py-1.5">
            <span class="min-w-0 flex-1 leading-snug"
              >{explanationText(desk.plan, e)}
              <span class="block text-[0.93em] text-quiet"
                >{says.leftOver(formatNumber(e.misses, 1))}{e.usual ? '' : `, ${says.unusual}`}</span
              ></span
            >
            {#if desk.show.mayChange}<button type="button" class="btn btn-primary btn-sm" onclick={() => void take(e)}
                >{says.takeOver}</button
              >{/if}
          </li>
        {/each}
      </ul>
    {:else if asked}
      <p role="status">{says.tooLittle}</p>
    {/if}
  </section>
{/if}
