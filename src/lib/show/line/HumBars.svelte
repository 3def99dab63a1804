<script lang="ts">
  import { line as says } from '$core/words/screen/line';
  import { formatNumber } from '$core/units/format';

  interface Props {
    /** By harmonic, dBu; nothing below −160. */
    spectrum: readonly number[];
    mainsHz: number;
  }
  /** Hum at one input by harmonic. */
  const { spectrum, mainsHz }: Props = $props();

  const LOW = -160;
  const HEIGHT = 108;
  let width = $state(560);
  const high = $derived(Math.max(-40, Math.ceil((Math.max(...spectrum, LOW) + 5) / 20) * 20));
  const y = (v: number): number => ((high - Math.max(v, LOW)) / (high - LOW)) * HEIGHT;
  const ticks = $derived(Array.from({ length: Math.floor((high - LOW) / 40) + 1 }, (_, k) => high - 40 * k));
  const slot = $derived((width - 40) / 20);
  const told = $derived(
    spectrum
      .map((v, k) => ({ v, hz: mainsHz * (k + 1) }))
      .filter(({ v }) => v > LOW)
      .map(({ v, hz }) => says.hzDbu(hz, formatNumber(v)))
      .join(', ')
  );
</script>

<div bind:clientWidth={width} role="img" aria-label={says.spectrumOfPredictedHum(told)} class="pt-2">
  <svg {width} height={HEIGHT + 16} aria-hidden="true" class="block overflow-visible">
    {#each ticks as tick (tick)}
      <line x1="36" x2={width} y1={y(tick)} y2={y(tick)} class="stroke-base-300" />
      <text x="32" y={y(tick) + 4} text-anchor="end" class="num fill-quiet" font-size="10.5">{formatNumber(tick)}</text>
    {/each}
    {#each spectrum as v, k (k)}
      {#if v > LOW}
        <rect
          x={38 + k * slot + slot * 0.2}
          y={y(v)}
          width={slot * 0.6}
          height={Math.max(HEIGHT - y(v), 1)}
          class={k === 0 ? 'fill-accent' : 'fill-primary'}
        />
      {/if}
      {#if k % 4 === 0 || k === 19}
        <text x={38 + (k + 0.5) * slot} y={HEIGHT + 13} text-anchor="middle" class="num fill-quiet" font-size="10.5"
          >{mainsHz * (k + 1)}</text
        >
      {/if}
    {/each}
  </svg>
</div>
