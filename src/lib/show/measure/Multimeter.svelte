<script lang="ts">
  import { measure as says } from '$core/words/screen/measure';
  import { fromSeries, fromTwoLoads } from '$core/measure/two-loads';
  import { formatQuantity } from '$core/units/format';
  import QuantityField from '$lib/ui/QuantityField.svelte';

  /** Impedances from levels that a multimeter reads, and two resistors. */
  let [first, second] = $state([1, 0.5]);
  let [high, low] = $state([10_000, 1000]);
  let [without, withIt] = $state([1, 0.5]);
  let [series, source] = $state([10_000, 150]);
  const result = (compute: () => number): string => {
    try {
      return says.is(formatQuantity('resistance', compute(), 3));
    } catch {
      return says.contradicts;
    }
  };
</script>

<details class="rounded-[7px] border border-base-300 bg-card p-4">
  <summary class="cursor-pointer font-semibold">{says.meter}</summary>
  <p class="pt-2 text-quiet">{says.meterTeach}</p>
  <div class="grid grid-cols-2 gap-x-8 gap-y-4 pt-2 max-sm:grid-cols-1">
    <section>
      <h2 class="heading">{says.sourceOf}</h2>
      <QuantityField label={says.load(1)} kind="resistance" value={high} low={1} high={1e8} onset={(v) => (high = v)} />
      <QuantityField
        label={says.volts(1)}
        kind="voltage"
        value={first}
        low={1e-6}
        high={100}
        onset={(v) => (first = v)}
      />
      <QuantityField label={says.load(2)} kind="resistance" value={low} low={1} high={1e8} onset={(v) => (low = v)} />
      <QuantityField
        label={says.volts(2)}
        kind="voltage"
        value={second}
        low={1e-6}
        high={100}
        onset={(v) => (second = v)}
      />
      <p class="pt-1 font-semibold" role="status" data-two-loads>
        {result(() => fromTwoLoads([first, second], [high, low]))}
      </p>
    </section>
    <section>
      <h2 class="heading">{says.inputOf}</h2>
      <QuantityField
        label={says.series}
        kind="resistance"
        value={series}
        low={1}
        high={1e8}
        onset={(v) => (series = v)}
      />
      <QuantityField
        label={says.without}
        kind="voltage"
        value={without}
        low={1e-6}
        high={100}
        onset={(v) => (without = v)}
      />
      <QuantityField
        label={says.withIt}
        kind="voltage"
        value={withIt}
        low={1e-6}
        high={100}
        onset={(v) => (withIt = v)}
      />
      <QuantityField
        label={says.source}
        kind="resistance"
        value={source}
        low={0.1}
        high={1e6}
        onset={(v) => (source = v)}
      />
      <p class="pt-1 font-semibold" role="status">{result(() => fromSeries([without, withIt], series, source))}</p>
    </section>
  </div>
</details>
