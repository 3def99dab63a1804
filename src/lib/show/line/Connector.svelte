<script lang="ts">
  import { line as says } from '$core/words/screen/line';
  import { CABLES } from '$core/gear/cables';
  import type { Plan } from '$core/plan/schema';
  import { type Conductor, type Pin, pinChart } from '$core/rig/pins';
  import { formatQuantity } from '$core/units/format';
  import { CABLE_NAMES, modelShort, PLUG_NAMES } from '$core/words/names';

  const { plan, cable: id }: { plan: Plan; cable: string } = $props();

  const cable = $derived(plan.cables[id]);
  const chart = $derived(pinChart(plan, id));
  const HEIGHT = 92;
  const ROWS = { first: 18, second: 46, shield: 74 } as const;
  const lane = (c: Conductor): number => (c === 'a' ? 18 : c === 'b' ? 46 : 74);
  const LANE_NAMES: Readonly<Record<Conductor, string>> = { a: 'core', b: 'core', s: 'shield' };
  const colour = (c: Conductor): string =>
    c === 'a' ? 'stroke-primary' : c === 'b' ? 'stroke-accent' : 'stroke-quiet';
  let room = $state(560);
  /** On a phone the cable is drawn shorter, not the letters smaller. */
  const WIDTH = $derived(room < 480 ? 370 : 560);
  const PLUG = 62;
  const LEFT = $derived(room < 480 ? 116 : 150);
  const RIGHT = $derived(WIDTH - LEFT);
  const lanes = $derived(chart.conductors);
  const text = (pin: Pin): string =>
    pin.carries === null ? (pin.toSleeve ? says.meetsSleeve : says.meetsNothing) : pin.carries;
  const told = $derived(
    [chart.near, chart.far]
      .map(
        (pins, side) =>
          says.end(side === 0 ? 'near' : 'far', PLUG_NAMES[cable.plugs[side]]) +
          pins
            .map((p) =>
              says.carries(
                p.contact ?? says.noContact,
                text(p),
                p.conductor === null ? says.open : says.onThe(LANE_NAMES[p.conductor], p.conductor === 'b' ? 'two' : '')
              )
            )
            .join(', ') +
          (chart.joined[side] ? says.secondOnShield : '')
      )
      .join('; ')
  );
</script>

<figure class="min-w-0" bind:clientWidth={room}>
  <figcaption class="flex justify-between gap-2 text-[0.93em] max-sm:flex-wrap">
    <span class="truncate"
      >{modelShort(plan.devices[cable.from.device].model)},
      <span class="text-quiet">{PLUG_NAMES[cable.plugs[0]]}</span></span
    >
    <span class="shrink-0 text-quiet"
      >{formatQuantity('length', cable.metres)}
      {CABLE_NAMES[cable.kind]}, {CABLES[cable.kind].cores === 1 ? says.oneCore : says.twoCores}</span
    >
    <span class="truncate text-right"
      ><span class="text-quiet">{PLUG_NAMES[cable.plugs[1]]}</span>, {modelShort(
        plan.devices[cable.to.device].model
      )}</span
    >
  </figcaption>
  <svg
    viewBox="0 0 {WIDTH} {HEIGHT}"
    class="block w-full max-w-[640px]"
    role="img"
    aria-label={says.contacts(told)}
    preserveAspectRatio="xMidYMid meet"
  >
    {#each lanes as c (c)}
      <line
        x1={LEFT + 28}
        x2={RIGHT - 28}
        y1={lane(c)}
        y2={lane(c)}
        class={colour(c)}
        stroke-width={c === 's' ? 4 : 2.2}
        stroke-dasharray={c === 's' ? '2 2.5' : ''}
      />
      <text x={WIDTH / 2} y={lane(c) - 5} text-anchor="middle" class="fill-quiet" font-size="11">{LANE_NAMES[c]}</text>
    {/each}
    {#each [chart.near, chart.far] as pins, side (side)}
      {@const edge = side === 0 ? LEFT : RIGHT}
      {@const into = side === 0 ? 1 : -1}
      {#if chart.joined[side]}
        <line
          x1={edge + into * 34}
          x2={edge + into * 34}
          y1={lane('b')}
          y2={lane('s')}
          class="stroke-error"
          stroke-width="2.2"
        />
      {/if}
      {#each pins as pin (pin.place)}
        {@const y = ROWS[pin.place]}
        <rect
          x={side === 0 ? edge - PLUG : edge}
          y={y - 11}
          width={PLUG}
          height="22"
          rx="3"
          class={pin.contact === null ? 'fill-none stroke-base-300' : 'fill-base-200 stroke-base-300'}
          stroke-dasharray={pin.contact === null ? '3 3' : ''}
        />
        <text
          x={side === 0 ? edge - PLUG / 2 : edge + PLUG / 2}
          y={y + 4}
          text-anchor="middle"
          class="fill-base-content"
          font-size="12">{pin.contact ?? '–'}</text
        >
        <text
          x={side === 0 ? edge - PLUG - 8 : edge + PLUG + 8}
          y={y + 4}
          text-anchor={side === 0 ? 'end' : 'start'}
          class={pin.toSleeve ? 'fill-warning' : 'fill-base-content'}
          font-size="12.5">{text(pin)}</text
        >
        {#if pin.conductor !== null}
          <path
            d="M{edge} {y} L{edge + into * 28} {lane(pin.conductor)}"
            fill="none"
            class={colour(pin.conductor)}
            stroke-width="2.2"
          />
        {:else if pin.contact !== null}
          <path d="M{edge} {y} h{into * 12} m{into * -3} -5 v10" fill="none" class="stroke-error" stroke-width="2" />
        {/if}
        {#if pin.toSleeve}
          <path
            d="M{side === 0 ? edge - PLUG / 2 : edge + PLUG / 2} {y + 11} V{ROWS.shield - 11}"
            class="stroke-warning"
            stroke-width="2.2"
            fill="none"
          />
        {/if}
      {/each}
    {/each}
  </svg>
</figure>
