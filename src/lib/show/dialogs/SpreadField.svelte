<script lang="ts">
  import { dialogs as says } from '$core/words/screen/dialogs';
  import type { ParamSpec } from '$core/gear/types';
  import { formatDbu, formatQuantity } from '$core/units/format';
  import { parseQuantity } from '$core/units/parse';
  import { unitFaultText } from '$core/words/faults';

  interface Spread {
    min: number;
    typ: number;
    max: number;
  }
  interface Props {
    label: string;
    spec: ParamSpec;
    spread: Spread;
    onset: (spread: Spread) => void;
  }
  const { label, spec, spread, onset }: Props = $props();

  const show = (v: number): string =>
    spec.quantity === 'level' ? formatDbu(v, 1) : formatQuantity(spec.quantity, v, 6);
  const NAMES = [
    ['min', 'least'],
    ['typ', 'usual'],
    ['max', 'most']
  ] as const;
  let error = $state<string | null>(null);

  function commit(which: keyof Spread, text: string): void {
    if (text === show(spread[which])) return;
    const parsed = parseQuantity(spec.quantity, text);
    if (!parsed.ok) {
      error = unitFaultText(parsed.error);
      return;
    }
    const next = { ...spread, [which]: parsed.value };
    // The usual value moves the edge that it passes; edges may not pass it.
    if (which === 'typ') {
      next.min = Math.min(next.min, next.typ);
      next.max = Math.max(next.max, next.typ);
    }
    if (next.min < spec.low || next.max > spec.high) error = says.mustLieBetweenAnd(show(spec.low), show(spec.high));
    else if (next.min > next.typ || next.typ > next.max) error = says.leastUsualAndMostAreOut;
    else {
      error = null;
      onset(next);
    }
  }
</script>

<div class="grid grid-cols-[minmax(0,1fr)_repeat(3,8.2rem)] items-center gap-x-2 py-[3px] max-sm:grid-cols-3">
  <span class="max-sm:col-span-3">{label}</span>
  {#each NAMES as [which, name] (which)}
    <input
      class="num input w-full input-sm"
      aria-label="{label}, {name}"
      value={show(spread[which])}
      onchange={(event) => commit(which, event.currentTarget.value)}
    />
  {/each}
  {#if error}<p class="col-span-full text-right text-error" role="alert">{error}</p>{/if}
</div>
