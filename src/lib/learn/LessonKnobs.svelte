<script lang="ts">
  import { lessons as says } from '$core/words/screen/lessons';
  import { knobName, knobValue, readingText } from '$core/words/lesson-figures';
  import { LESSON_TEXTS } from '$core/words/lessons';
  import { SEVERITY_NAMES } from '$core/words/names';
  import Mark from '$lib/ui/Mark.svelte';
  import type { LessonDesk } from './lesson-desk.svelte';
  import type { Begun } from './lesson.worker';
  import TurnSlider from './TurnSlider.svelte';

  /** What may be turned in a lesson. */
  const { desk }: { desk: LessonDesk } = $props();
  type Knob = Begun['knobs'][number];
  /** Sliders go by thousandths of their way. */
  const STEPS = 1000;
  const at = ({ low, high, log }: Knob, value: number): number =>
    Math.round(STEPS * (log ? Math.log(value / low) / Math.log(high / low) : (value - low) / (high - low)));
  const from = ({ low, high, log }: Knob, step: number): number =>
    log ? low * (high / low) ** (step / STEPS) : low + ((high - low) * step) / STEPS;
  const names = $derived(LESSON_TEXTS[desk.id].ways ?? []);
</script>

<div class="grid gap-3">
  {#if desk.begun && desk.begun.ways.length > 0}
    <fieldset>
      <legend class="sr-only">{says.way}</legend>
      <div class="grid grid-cols-3 gap-2 max-sm:grid-cols-1">
        {#each desk.begun.ways as way, k (k)}
          <button
            type="button"
            class="btn h-auto justify-start border-2 px-3 py-2 text-left leading-snug font-normal {k === desk.way
              ? 'border-primary bg-card'
              : 'border-transparent'}"
            aria-pressed={k === desk.way}
            onclick={() => void desk.begin(false, k)}
            ><Mark severity={way.severity} /><span
              >{names[k]}<span class="num block font-bold"
                >{readingText(desk.id, desk.begun.measure, way.reads)}<span class="sr-only"
                  >, {SEVERITY_NAMES[way.severity]}</span
                ></span
              ></span
            ></button
          >
        {/each}
      </div>
    </fieldset>
  {/if}
  {#each desk.begun?.knobs ?? [] as knob (knob.id)}
    {@const value = desk.valueOf(knob.id)}
    {#if knob.choices}
      <fieldset class="flex flex-wrap items-center gap-x-4 gap-y-1">
        <legend class="float-left w-44 pt-1.5 max-sm:w-full">{knobName(knob.id, knob.behind)}</legend>
        {#each knob.choices as choice (choice)}
          <button
            type="button"
            class="btn btn-sm {choice === value ? 'btn-primary' : ''}"
            aria-pressed={choice === value}
            onclick={() => desk.turn(knob.id, choice)}>{knobValue(knob.id, knob.quantity, choice)}</button
          >
        {/each}
      </fieldset>
    {:else if typeof value === 'number'}
      <TurnSlider
        name={knobName(knob.id, knob.behind)}
        told={knobValue(knob.id, knob.quantity, value)}
        max={STEPS}
        value={at(knob, value)}
        onturn={(step) => desk.turn(knob.id, from(knob, step))}
      />
    {/if}
  {/each}
</div>
