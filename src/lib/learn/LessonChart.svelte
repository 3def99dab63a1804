<script lang="ts">
  import { lessons as says } from '$core/words/screen/lessons';
  import { knobName, knobValue, readingText, READS } from '$core/words/lesson-figures';
  import ResponseChart from '$lib/show/line/ResponseChart.svelte';
  import ChartCanvas from '$lib/ui/ChartCanvas.svelte';
  import type { LessonDesk } from './lesson-desk.svelte';

  /** What is drawn of a lesson: a response, or what is read over the whole way of a knob, with where it stands. */
  const { desk, height = 'h-[210px]' }: { desk: LessonDesk; height?: string } = $props();
  const knob = $derived(desk.begun?.knobs.find((k) => k.id === desk.sweep?.knob));
  const drawn = $derived.by(() => {
    if (!desk.sweep || !knob || !desk.now) return null;
    const value = desk.valueOf(knob.id);
    return {
      ...{ sweep: desk.sweep, now: { x: Number(value), y: desk.now.reads } },
      ...{
        log: knob.log,
        id: knob.id,
        name: knobName(knob.id, knob.behind),
        quantity: knob.quantity,
        lesson: desk.id,
        measure: desk.begun!.measure
      }
    };
  });
  const said = $derived(
    drawn && knob
      ? says.chart(
          READS[desk.id],
          knobName(knob.id, knob.behind),
          `${knobValue(knob.id, knob.quantity, desk.valueOf(knob.id))}, ${readingText(desk.id, drawn.measure, drawn.now.y)}`
        )
      : ''
  );
</script>

{#if drawn}
  <ChartCanvas
    load={async () => (await import('./sweep-view')).SweepView}
    draw={(view) => view.draw(drawn)}
    label={said}
    failure={says.chartFailed}
    {height}
  />
{:else if desk.begun?.drawsResponse && desk.now?.report.response}
  <ResponseChart report={desk.now.report} />
{/if}
