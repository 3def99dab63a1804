<script lang="ts">
  import { listen as says } from '$core/words/screen/listen';
  import { letterOf } from '$core/hear/fair';
  import { levels } from '$core/hear/against';
  import { formatNumber } from '$core/units/format';
  import ChartCanvas from '$lib/ui/ChartCanvas.svelte';
  import type { HearDesk } from './hear-desk.svelte';
  import Waveform from './Waveform.svelte';

  /** What is compared, to look at: waveforms, spectra, and what lies between each and the first. */
  const { desk }: { desk: HearDesk } = $props();
  let against = $state(false);
  const all = $derived(desk.heard.map((h) => levels(h.samples, desk.player.rate)));
  const told = $derived(
    all
      .slice(1)
      .map(({ hz, db }, k) => {
        const at = (f: number): string => {
          const n = hz.findIndex((h) => h >= f);
          return formatNumber(db[n] - all[0].db[n], 1, true);
        };
        return says.betweenAnd(letterOf(k + 1), at(100), at(1000), at(5000));
      })
      .join('; ')
  );
</script>

<section class="grid gap-3" data-pictures>
  <div class="grid gap-1.5">
    {#each desk.heard as h, k (k)}
      <div class="flex items-center gap-2">
        <span class="w-5 font-bold" aria-hidden="true">{letterOf(k)}</span>
        <Waveform
          samples={h.samples}
          label={says.waveform(letterOf(k))}
          on={desk.player.current === k}
          onseek={(share) => desk.player.seek(share * desk.player.length)}
        />
      </div>
    {/each}
  </div>
  <label class="flex cursor-pointer items-center gap-2"
    ><input type="checkbox" class="checkbox checkbox-sm" bind:checked={against} />{says.againstFirst}</label
  >
  <ChartCanvas
    load={async () => (await import('./spectra-view')).SpectraView}
    draw={(view) => view.draw(all, against)}
    label={says.spectraChart(told)}
    failure={says.noChart}
    height="h-[220px]"
  />
  <p class="text-quiet">{told}</p>
</section>
