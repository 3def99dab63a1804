<script lang="ts">
  import { check as says } from '$core/words/screen/check';
  import type { Step } from '$core/linecheck/gates';
  import { STEP_NAMES } from '$core/words/check';

  interface Props {
    steps: readonly Step[];
    passed: ReadonlySet<Step>;
    onpass: (passed: ReadonlySet<Step>) => void;
  }
  /** Steps in the order in which they are safe: none can be passed before the one in front of it, and taking one back takes back all behind it. */
  const { steps, passed, onpass }: Props = $props();

  const all = $derived(steps.every((s) => passed.has(s)));
  const upTo = (k: number): ReadonlySet<Step> => new Set(steps.slice(0, k));
</script>

<div class="mt-3 grid grid-cols-2 gap-2" role="group" aria-label={says.stepsInThisOrder}>
  {#if all}
    <button
      type="button"
      class="btn col-span-2 min-h-12 btn-outline btn-primary"
      aria-pressed="true"
      onclick={() => onpass(upTo(steps.length - 1))}
      >{steps.length === 1 ? STEP_NAMES[steps[0]] : says.allStepsDone(steps.length)} ✓</button
    >
  {:else}
    {#each steps as step, k (step)}
      {@const is = passed.has(step)}
      {@const due = !is && steps.slice(0, k).every((s) => passed.has(s))}
      <button
        type="button"
        class="btn h-auto min-h-14 px-2 leading-tight {due ? 'btn-primary' : is ? 'btn-outline btn-primary' : ''}"
        aria-pressed={is}
        disabled={!is && !due}
        onclick={() => onpass(upTo(is ? k : k + 1))}>{STEP_NAMES[step]}{is ? ' ✓' : ''}</button
      >
    {/each}
  {/if}
</div>
