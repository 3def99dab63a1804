<script lang="ts">
  import type { Severity } from '$core/judge/types';
  import { MARKS } from './marks';

  const { severity, size = 16 }: { severity: Severity; size?: number } = $props();
  const mark = $derived(MARKS[severity]);
</script>

<svg class="shrink-0" width={size} height={size} viewBox="0 0 16 16" aria-hidden="true">
  <path
    d={mark.path}
    fill={mark.fill ? mark.colour : 'none'}
    fill-rule="evenodd"
    stroke={mark.fill ? 'none' : mark.colour}
    stroke-width={severity === 'stop' ? 3 : 2}
    stroke-linecap="round"
  />
</svg>
