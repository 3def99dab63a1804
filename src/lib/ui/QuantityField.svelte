<script lang="ts">
  import { ui as says } from '$core/words/screen/ui';
  import { formatDbu, formatQuantity } from '$core/units/format';
  import { parseQuantity } from '$core/units/parse';
  import type { Kind } from '$core/units/quantity';
  import { unitFaultText } from '$core/words/faults';

  interface Props {
    label: string;
    kind: Kind;
    value: number;
    low: number;
    high: number;
    /** Typical value of the class, shown while it differs. */
    typ?: number;
    onset: (value: number) => void;
  }
  const { label, kind, value, low, high, typ, onset }: Props = $props();

  const show = (v: number): string => (kind === 'level' ? formatDbu(v, 1) : formatQuantity(kind, v, 6));
  const id = $props.id();
  let typed = $state<string | null>(null);
  let error = $state<string | null>(null);

  function commit(): void {
    if (typed === null) return;
    const parsed = parseQuantity(kind, typed);
    if (!parsed.ok) error = unitFaultText(parsed.error);
    else if (parsed.value < low || parsed.value > high) error = says.mustLieBetweenAnd(show(low), show(high));
    else {
      error = null;
      typed = null;
      if (parsed.value !== value) onset(parsed.value);
    }
  }
</script>

<div class="grid grid-cols-[1fr_9.5rem] items-center gap-x-3 py-1">
  <label for={id}>{label}</label>
  <input
    {id}
    class="num input w-full input-sm {error ? 'input-error' : ''}"
    value={typed ?? show(value)}
    aria-invalid={error !== null}
    aria-describedby={error ? `${id}-error` : undefined}
    oninput={(event) => (typed = event.currentTarget.value)}
    onblur={commit}
    onkeydown={(event) => event.key === 'Enter' && commit()}
  />
  {#if error}
    <p id="{id}-error" class="col-span-2 pt-0.5 text-right text-error" role="alert">{error}</p>
  {:else if typ !== undefined && typ !== value}
    <p class="col-span-2 text-right text-[0.9em] text-quiet">
      {says.usually(show(typ))}
      <button type="button" class="underline" onclick={() => onset(typ)}>{says.backToIt}</button>
    </p>
  {/if}
</div>
