<script lang="ts">
  import { listen as says } from '$core/words/screen/listen';
  import { inBounds, lengthsOf, type LineValue, valuesOf } from '$core/hear/values';
  import { settingName } from '$core/words/names';
  import { valueOwner } from '$core/words/hear';
  import { formatQuantity } from '$core/units/format';
  import type { Plan } from '$core/plan/schema';
  import { wrap } from 'comlink';
  import { onMount, untrack } from 'svelte';
  import type { HearDesk } from './hear-desk.svelte';
  import type { LiveApi } from './live.worker';

  /** One value of the line, turned while the loop goes on: a length, a load, a capacitance. */
  const { desk }: { desk: HearDesk } = $props();
  const line = untrack(() => desk.line!);
  const values = $derived([...lengthsOf(desk.plan, line), ...valuesOf(desk.plan, [line])]);
  const keyOf = (v: LineValue): string => `${v.of} ${v.param}`;
  let chosen = $state(untrack(() => (values[0] ? keyOf(values[0]) : '')));
  const value = $derived(values.find((v) => keyOf(v) === chosen) ?? values[0]);
  /** From a tenth to ten times as much, as far as such a thing goes. */
  const REACH = 10;
  let turn = $state(0);
  const to = $derived(value ? inBounds(value, value.planned * REACH ** turn) : 0);
  let heard = $state<'planned' | 'turned'>('planned');
  let api: ReturnType<typeof wrap<LiveApi>> | null = null;
  let prepared: Promise<void> | null = null;
  let asked = 0;

  onMount(() => {
    const worker = new Worker(new URL('./live.worker.ts', import.meta.url), { type: 'module' });
    api = wrap<LiveApi>(worker);
    const sound = desk.sound === 'own' ? desk.own!.samples : desk.sound;
    const { plan } = desk;
    prepared = api.prepare({
      ...{ plan: $state.snapshot(plan) as Plan, lineId: line.id, sound },
      ...{ rate: desk.player.rate, amp: desk.amp }
    });
    return () => {
      desk.player.noLonger();
      worker.terminate();
    };
  });

  /** The whole loop waits until the turning rests: the next piece must not stand behind it. */
  const REST_MS = 150;
  const rest = (): Promise<void> => new Promise((done) => setTimeout(done, REST_MS));
  let computing = false;
  let wants = false;
  async function turned(): Promise<void> {
    const mine = ++asked;
    wants = true;
    const { player } = desk;
    if (!player.playing) await player.play();
    await prepared;
    // One piece at a time: what was turned meanwhile comes next, and only the last of it.
    if (mine !== asked || !api || computing) return;
    const of = $state.snapshot(value) as LineValue;
    const wanted = to;
    const from = Math.round(player.position * player.rate);
    computing = true;
    const piece = await api.piece(of, wanted, from).finally(() => (computing = false));
    // Back to what was planned meanwhile: nothing of it is heard.
    if (!wants) return;
    player.instead(piece, from);
    heard = 'turned';
    if (mine !== asked) return void turned();
    await rest();
    if (mine !== asked) return;
    const whole = await api.whole(of, wanted);
    if (mine === asked) player.instead(whole, null);
  }
  function back(): void {
    asked++;
    wants = false;
    heard = 'planned';
    desk.player.noLonger();
  }
  const nameOf = (v: LineValue): string =>
    says.valueOf(valueOwner(desk.plan, v), v.what === 'length' ? says.length : settingName(v.param).toLowerCase());
</script>

<section class="grid gap-2" data-turn={heard}>
  <h2 class="heading">{says.turnWhile}</h2>
  <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
    <select
      class="select w-auto max-w-full min-w-0 pr-8"
      aria-label={says.whichValue}
      bind:value={chosen}
      onchange={() => ((turn = 0), back())}
    >
      {#each values as v (keyOf(v))}<option value={keyOf(v)}>{nameOf(v)}</option>{/each}
    </select>
    {#if value}
      <input
        type="range"
        class="range min-w-40 flex-1 range-sm"
        aria-label={nameOf(value)}
        aria-valuetext={formatQuantity(value.quantity, to)}
        min="-1"
        max="1"
        step="0.02"
        bind:value={turn}
        oninput={() => void turned()}
      />
      <span class="num w-24 text-right">{formatQuantity(value.quantity, to)}</span>
      <button type="button" class="btn" aria-pressed={heard === 'turned'} onclick={() => void turned()}
        >{says.turned}</button
      >
      <button type="button" class="btn" aria-pressed={heard === 'planned'} onclick={back}>{says.asChosen}</button>
    {/if}
  </div>
  <p class="text-quiet">{says.turnTeach}</p>
</section>
