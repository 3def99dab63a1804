<script lang="ts">
  import { ui as says } from '$core/words/screen/ui';
  import type { LineReport } from '$core/judge/judge';
  import { CHECKS, type Severity } from '$core/judge/types';
  import { sentence } from '$core/words/findings';
  import { CHECK_NAMES, SEVERITY_NAMES } from '$core/words/names';
  import Mark from './Mark.svelte';

  interface Props {
    /** Two strokes for balanced, one for unbalanced, dots for nothing. */
    strokes: 0 | 1 | 2;
    at?: number;
    report?: LineReport | undefined;
    label?: string;
    /** Which of a line’s cables it is: its marks are told with it. */
    join?: string;
    /** What a click on the label does. */
    hint?: string;
    /** Marks take the focus only in the open line, so that Tab does not walk through every stitch of the show. */
    reachable?: boolean;
    onpick?: () => void;
    onedit?: () => void;
  }
  const {
    strokes,
    at = -1,
    report,
    label = '',
    join = '',
    hint = says.changeThisCable,
    reachable = false,
    onpick,
    onedit
  }: Props = $props();

  const marks = $derived(report?.marks[at]);
  function told(check: number, severity: Severity): string {
    const found = report?.findings.filter((f) => f.at === at && f.check === CHECKS[check]) ?? [];
    const worst = found.find((f) => f.severity === severity) ?? found[0];
    const where = join ? says.onTheJoin(join) : '';
    const head = `${CHECK_NAMES[CHECKS[check]]}${where}: ${SEVERITY_NAMES[severity]}`;
    return worst ? `${head}. ${sentence(worst)}` : head;
  }
</script>

<div class="relative h-full min-w-0 self-stretch" data-strokes={strokes}>
  <svg
    class="absolute inset-x-0 top-[4px] h-3 w-full"
    aria-hidden="true"
    preserveAspectRatio="none"
    viewBox="0 0 100 12"
  >
    {#if strokes === 0}
      <line
        x1="0"
        x2="100"
        y1="6"
        y2="6"
        class="stroke-quiet"
        stroke-width="1.4"
        stroke-dasharray="1.2 5"
        vector-effect="non-scaling-stroke"
        stroke-linecap="round"
      />
    {:else if strokes === 1}
      <line x1="0" x2="100" y1="6" y2="6" class="stroke-primary" stroke-width="2" vector-effect="non-scaling-stroke" />
    {:else}
      <line
        x1="0"
        x2="100"
        y1="3.6"
        y2="3.6"
        class="stroke-primary"
        stroke-width="1.3"
        vector-effect="non-scaling-stroke"
      />
      <line
        x1="0"
        x2="100"
        y1="8.4"
        y2="8.4"
        class="stroke-primary"
        stroke-width="1.3"
        vector-effect="non-scaling-stroke"
      />
    {/if}
  </svg>
  <!-- The cable comes before what is said of it. -->
  {#if label}
    <button
      type="button"
      tabindex={reachable ? 0 : -1}
      class="absolute inset-x-0 bottom-0 truncate text-center text-[0.86em] leading-tight text-quiet hover:text-base-content"
      title={hint}
      onclick={onedit}>{label}</button
    >
  {/if}
  {#if marks}
    <div class="absolute inset-x-[8%] top-0 flex justify-between">
      {#each marks as severity, check (check)}
        <button
          type="button"
          class="flex h-[20px] w-[19px] items-center justify-center rounded max-sm:w-[15px]"
          tabindex={reachable ? 0 : -1}
          title={told(check, severity)}
          aria-label={told(check, severity)}
          onclick={onpick}
        >
          <span class={severity === 'clean' ? '' : 'rounded-full bg-base-100'}
            ><Mark {severity} size={severity === 'clean' ? 15 : 16} /></span
          >
        </button>
      {/each}
    </div>
  {/if}
</div>
