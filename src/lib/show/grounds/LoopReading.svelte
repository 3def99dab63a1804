<script lang="ts">
  import { grounds as says } from '$core/words/screen/grounds';
  import { isDangerous, type Measured } from '$core/trace/belief';
  import type { EarthMap } from '$core/trace/map';
  import type { Plan } from '$core/plan/schema';
  import type { MeasuredRow } from '$core/plan/schema';
  import { resolve } from '$core/plan/resolved';
  import MeasuredList from './MeasuredList.svelte';
  import { readMeasured } from './measured-quantity';
  import StopButton from '$lib/show/session/StopButton.svelte';

  interface Props {
    plan: Plan;
    map: EarthMap;
    nameOf: (id: string) => string;
    onread: (what: Measured) => void;
    /** @param row null takes it back */
    onset: (id: string, row: MeasuredRow | null) => void;
  }
  /** Something measured on the stage: what it says of the EMFs is worked out, and the map believes it. */
  const { plan, map, nameOf, onread, onset }: Props = $props();

  const textOf = (what: Measured): string =>
    what.kind === 'volts'
      ? says.voltsBetweenAnd(plan.supplies[what.supplies[0]].name, plan.supplies[what.supplies[1]].name)
      : what.kind === 'level'
        ? says.humAtTheInputOf(nameOf(what.line))
        : says.currentInTheShieldOf(nameOf(lineOf(what.cable)));
  const lineOf = (cable: string): string => resolve(plan).lines.find((l) => l.cables.includes(cable))?.id ?? cable;

  const supplies = $derived(Object.entries(plan.supplies));
  const choices = $derived([
    ...supplies.flatMap(([a, sa], k) =>
      supplies.slice(k + 1).map(([b, sb]) => ({ id: `volts ${a} ${b}`, text: says.voltsBetweenAnd(sa.name, sb.name) }))
    ),
    ...map.rings.map((r) => ({ id: `clamp ${r.cable}`, text: says.currentInTheShieldOf(nameOf(r.lines[0])) })),
    ...map.rings.flatMap((r) =>
      r.worst ? [{ id: `level ${r.worst.line}`, text: says.humAtTheInputOf(nameOf(r.worst.line)) }] : []
    )
  ]);
  let what = $state('');
  let typed = $state('');
  let wrong = $state<string | null>(null);
  /** What was typed is no matter of hum. */
  let danger = $state(false);
  const chosen = $derived(choices.some((c) => c.id === what) ? what : (choices[0]?.id ?? ''));
  const [kind, ...of] = $derived(chosen.split(' '));

  function read(event: SubmitEvent): void {
    event.preventDefault();
    const given = readMeasured(kind as Measured['kind'], typed);
    wrong = 'wrong' in given ? given.wrong : null;
    if ('wrong' in given) return;
    const what: Measured =
      kind === 'volts'
        ? { kind, supplies: [of[0], of[1]], volts: given.value }
        : kind === 'clamp'
          ? { kind, cable: of[0], ampere: given.value }
          : { kind: 'level', line: of[0], volts: given.value };
    danger = isDangerous(what);
    if (danger) return;
    onread(what);
    typed = '';
  }
</script>

<details class="border-t border-base-300 pt-2" open={map.measured.length > 0}>
  <summary class="cursor-pointer py-1 font-semibold">{says.measuredSomething}</summary>
  <MeasuredList {plan} rows={map.measured} {textOf} {onset} ondanger={() => (danger = true)} />
  {#if choices.length === 0}
    <p class="py-1 text-quiet">{says.thereIsNoRingAndOnly}</p>
  {:else}
    <form class="grid gap-2 py-1" onsubmit={read}>
      <select
        class="select w-full select-sm"
        aria-label={says.whatWasMeasured}
        bind:value={() => chosen, (v) => (what = v)}
      >
        {#each choices as c (c.id)}<option value={c.id}>{c.text}</option>{/each}
      </select>
      <div class="flex gap-2">
        <input
          class="num input w-full input-sm"
          aria-label={says.reading}
          placeholder={kind === 'clamp' ? says.n40Ma : kind === 'level' ? says.n42Dbu : '0.3 V'}
          bind:value={typed}
          oninput={() => (danger = false)}
        />
        <button class="btn btn-primary btn-sm" disabled={typed.trim() === ''}>{says.takeItIn}</button>
      </div>
      {#if danger}
        <div class="grid gap-2 border-l-4 border-danger pl-3" role="alert" data-danger>
          <p><strong class="text-danger">{says.thatIsDangerous}</strong> {says.touchNothingCall}</p>
          <StopButton />
        </div>
      {/if}
      {#if wrong}<p class="text-error" role="alert">{wrong}</p>{/if}
      {#if kind === 'volts'}
        <p class="text-[0.93em] text-quiet">{says.betweenEarthsOfTheMainsOnly}</p>
      {/if}
    </form>
  {/if}
</details>
