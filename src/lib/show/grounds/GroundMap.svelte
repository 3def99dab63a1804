<script lang="ts">
  import { LINK_NAMES } from '$core/words/trace';
  import { grounds as says } from '$core/words/screen/grounds';
  import type { EarthMap, EarthPoint } from '$core/trace/map';
  import type { Plan } from '$core/plan/schema';
  import { rangeOf } from '$core/trace/belief';
  import { formatQuantity } from '$core/units/format';
  import { feedText, supplyFacts } from '$core/words/trace';
  import { BAR_Y, earthView, HEIGHT, POINT_Y } from './ground-view';

  interface Props {
    plan: Plan;
    map: EarthMap;
    /** Ring that is painted whole, by its key. */
    ring: string | null;
    /** Chassis that is looked at. */
    point: string | null;
    nameOf: (id: string) => string;
    onring: (key: string) => void;
    onpoint: (id: string) => void;
    /** Left out where a rig is only looked at. */
    onsupply?: (id: string) => void;
    /** A chassis is put on another supply. */
    onmove?: (point: EarthPoint, supply: string) => void;
  }
  const { plan, map, ring, point, nameOf, onring, onpoint, onsupply, onmove }: Props = $props();

  let room = $state(880);
  /** Crowds that were opened. */
  let apart = $state.raw<ReadonlySet<string>>(new Set());
  const chosen = $derived(map.rings.find((r) => r.key === ring) ?? null);
  const view = $derived(
    earthView(plan, map, room, apart, new Set([...(chosen?.points ?? []), ...(point ? [point] : [])]))
  );
  const inRing = (id: string): boolean => chosen?.points.includes(id) ?? false;
  /** Contacts by which the chosen ring leaves a chassis instead of by its earth. */
  const ways = $derived(view.contacts.filter((c) => chosen && c.ring?.key === chosen.key));
  const posts = $derived([
    ...view.points
      .filter((p) => p.points.length === 1 && inRing(p.id) && !ways.some((c) => c.from === p.id))
      .map((p) => p.x),
    ...ways.filter((c) => c.to.startsWith('supply:')).map((c) => c.ends[2])
  ]);
  const floor = $derived(posts.length > 1 ? ([Math.min(...posts), Math.max(...posts)] as const) : null);

  let dragged = $state.raw<{ point: EarthPoint; from: number; x: number } | null>(null);
  const over = $derived(
    dragged && Math.abs(dragged.x - dragged.from) > 12
      ? (view.supplies.find((s) => Math.abs(s.x - dragged!.x) < s.wide / 2)?.id ?? null)
      : null
  );
  let picture: SVGSVGElement;
  const xOf = (event: PointerEvent): number => event.clientX - picture.getBoundingClientRect().left;
  function begin(event: PointerEvent, p: EarthPoint): void {
    if (!onmove || p.supply === null || event.button !== 0) return;
    dragged = { point: p, from: xOf(event), x: xOf(event) };
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
  }
  function end(): void {
    if (dragged && over && over !== dragged.point.supply) onmove?.(dragged.point, over);
    dragged = null;
  }
  const pick = (event: KeyboardEvent, act: () => void): void => {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    act();
  };
  /** A label stays on the picture. */
  const HALF_LABEL = 56;
  const inside = (x: number): number => Math.min(Math.max(x, HALF_LABEL), view.width - HALF_LABEL);
  /** A name in one line where it fits, else in two. */
  const inTwo = (text: string, wide: number): string[] => {
    if (text.length * 6.4 < wide) return [text];
    const words = text.split(' ');
    const half = words.findLastIndex((_, k) => words.slice(0, k).join(' ').length <= text.length / 2 + 1);
    return [words.slice(0, Math.max(half, 1)).join(' '), words.slice(Math.max(half, 1)).join(' ')]
      .filter(Boolean)
      .map((part) => short(part, wide + 6));
  };
  const short = (text: string, wide: number): string => {
    const most = Math.floor(wide / 7);
    return text.length > most ? `${text.slice(0, Math.max(most - 1, 1))}…` : text;
  };
</script>

<div bind:clientWidth={room} class="overflow-x-auto">
  <svg
    bind:this={picture}
    width={view.width}
    height={HEIGHT}
    class="block select-none"
    role="group"
    aria-label={says.suppliesChassisAndShields}
  >
    <line x1="4" x2={view.width - 4} y1={BAR_Y + 10} y2={BAR_Y + 10} class="stroke-base-300" stroke-width="2" />
    {#if chosen && floor}
      {@const thread = view.threads.find((t) => t.ring?.key === chosen.key)}
      {#if thread && posts.length === 2 && ways.length === 0}
        <path
          d="{thread.path}L{thread.ends[1]} {POINT_Y + 32}V{BAR_Y + 10}H{thread.ends[0]}V{POINT_Y + 32}Z"
          class="fill-error/12"
        />
      {/if}
      <line x1={floor[0]} x2={floor[1]} y1={BAR_Y + 10} y2={BAR_Y + 10} class="stroke-error" stroke-width="3" />
    {/if}
    {#each view.supplies as supply (supply.id)}
      <g
        {...onsupply ? { role: 'button', tabindex: 0 } : { role: 'img' }}
        aria-label={says.supplyTold(
          says.supply(supply.name),
          formatQuantity('voltage', plan.supplies[supply.id].emf, 2)
        )}
        class={onsupply ? 'cursor-pointer' : ''}
        onclick={() => onsupply?.(supply.id)}
        onkeydown={(e) => pick(e, () => onsupply?.(supply.id))}
      >
        <rect
          x={supply.x - supply.wide / 2}
          y={BAR_Y}
          width={supply.wide}
          height="20"
          rx="10"
          class={over === supply.id ? 'fill-primary/30 stroke-primary' : 'fill-base-200 stroke-base-300'}
        />
        <text x={supply.x} y={BAR_Y + 36} text-anchor="middle" class="fill-base-content font-semibold" font-size="13"
          >{short(supply.name, supply.wide + 40)}</text
        >
        <text x={inside(supply.x)} y={BAR_Y + 52} text-anchor="middle" class="num fill-quiet" font-size="11"
          >{rangeOf(plan, supply.id)
            .map((v) => formatQuantity('voltage', v, 2))
            .join(' to ')}</text
        >
        {#each supplyFacts(plan.supplies[supply.id]) as fact, k (k)}
          <text x={inside(supply.x)} y={BAR_Y + 66 + 14 * k} text-anchor="middle" class="fill-quiet" font-size="11"
            >{short(fact, supply.wide + 40)}</text
          >
        {/each}
      </g>
    {/each}
    {#each view.points as p (p.id)}
      {@const [only] = p.points}
      {@const lit = p.points.length === 1 && inRing(p.id)}
      {#if only.supply !== null && p.points.length > 1}
        <line
          x1={p.x}
          x2={p.x}
          y1={POINT_Y + 32}
          y2={BAR_Y}
          class="stroke-quiet"
          stroke-width="1.5"
          stroke-dasharray="2 4"
        />
      {:else if only.supply !== null && only.feed === 'mains-1' && !only.unearthed}
        <line
          x1={p.x}
          x2={p.x}
          y1={POINT_Y + 32}
          y2={BAR_Y + (lit ? 10 : 0)}
          class={lit ? 'stroke-error' : 'stroke-quiet'}
          stroke-width={lit ? 3 : 1.5}
        />
      {:else if only.supply !== null}
        <path
          d="M{p.x} {POINT_Y + 32}V{POINT_Y + 74}m-9 0h18m-18 6h18m-9 0V{BAR_Y}"
          class="fill-none stroke-quiet"
          stroke-width="1.5"
        />
      {/if}
    {/each}
    {#each view.threads as t (t.line + t.from)}
      {@const lit = chosen !== null && t.ring?.key === chosen.key}
      {@const dim = chosen !== null && !lit}
      <g class={dim ? 'opacity-35' : ''}>
        {#if t.balanced && !lit}
          <path d={t.path} class="fill-none stroke-primary" stroke-width="3.6" />
          <path d={t.path} class="fill-none stroke-base-100" stroke-width="1.4" />
        {:else}
          <path d={t.path} class="fill-none {lit ? 'stroke-error' : 'stroke-primary'}" stroke-width={lit ? 3 : 1.6} />
        {/if}
        {#if t.ring}
          {@const key = t.ring.key}
          <path
            d={t.path}
            class="cursor-pointer fill-none stroke-transparent"
            stroke-width="14"
            role="button"
            tabindex="-1"
            aria-label={says.ringOf(nameOf(t.line))}
            onclick={() => onring(key)}
            onkeydown={(e) => pick(e, () => onring(key))}
          />
        {/if}
        {#if t.gap}
          {@const [x1, y1, x2, y2] = t.gap}
          <path d="M{x1} {y1}L{x2} {y2}" class="stroke-base-100" stroke-width="8" />
          <circle cx={x1} cy={y1} r="3" class="fill-primary" />
          <circle cx={x2} cy={y2} r="3" class="fill-primary" />
        {/if}
      </g>
    {/each}
    {#each view.contacts as c (c.id)}
      {@const lit = chosen !== null && c.ring?.key === chosen.key}
      {@const [x1, y1, x2, y2] = c.ends}
      {@const said = c.by ? says.joinedBy(nameOf(c.line), LINK_NAMES[c.by]) : says.touchesMetal(nameOf(c.line))}
      <g role="img" aria-label={said} class={lit ? 'stroke-error' : 'stroke-warning'}>
        <title>{said}</title>
        <path d={c.path} class="fill-none" stroke-width={lit ? 3 : 2} stroke-dasharray={lit ? undefined : '2 4'} />
        <circle cx={x1} cy={y1} r="3.5" class="fill-base-100" stroke-width="2" />
        <circle cx={x2} cy={y2} r="3.5" class="fill-base-100" stroke-width="2" />
      </g>
    {/each}
    {#each view.points as p (p.id)}
      {@const [only] = p.points}
      {@const lit = p.points.length === 1 && inRing(p.id)}
      {@const crowd = [`${p.points.length} ${p.quiet ? 'quiet' : 'others'}`, ...(p.place ? [p.place] : [])]}
      {@const name =
        p.points.length > 1 ? crowd.map((part) => short(part, p.wide + 6)) : inTwo(nameOf(only.id), p.wide)}
      <g
        role="button"
        tabindex="0"
        aria-label={p.points.length > 1 ? says.showEach(crowd.join(', ')) : `${nameOf(only.id)}, ${feedText(only)}`}
        aria-pressed={point === only.id}
        class="cursor-pointer {!onmove || only.supply === null || p.points.length > 1 ? '' : 'touch-none'}"
        transform={dragged?.point.id === only.id ? `translate(${dragged.x - dragged.from} 0)` : undefined}
        onclick={() =>
          p.points.length > 1 ? (apart = new Set([...apart, ...p.points.map((q) => q.id)])) : onpoint(only.id)}
        onkeydown={(e) =>
          pick(e, () =>
            p.points.length > 1 ? (apart = new Set([...apart, ...p.points.map((q) => q.id)])) : onpoint(only.id)
          )}
        onpointerdown={(e) => p.points.length === 1 && begin(e, only)}
        onpointermove={(e) => dragged && (dragged = { ...dragged, x: xOf(e) })}
        onpointerup={end}
        onpointercancel={() => (dragged = null)}
      >
        <rect
          x={p.x - p.wide / 2}
          y={POINT_Y}
          width={p.wide}
          height="32"
          rx="7"
          class="fill-card {lit ? 'stroke-error' : point === only.id ? 'stroke-primary' : 'stroke-base-300'}"
          stroke-width={lit || point === only.id ? 2 : 1}
        />
        {#each name as text, k (k)}
          <text
            x={p.x}
            y={POINT_Y + (name.length > 1 ? 14 + 13 * k : 20.5)}
            text-anchor="middle"
            class="fill-base-content {lit ? 'font-bold' : ''}"
            font-size={name.length > 1 ? 11 : 12}>{text}</text
          >
        {/each}
        {#if p.points.length === 1 && only.supply === null}
          <text x={p.x} y={POINT_Y + 47} text-anchor="middle" class="fill-quiet" font-size="11">{feedText(only)}</text>
        {/if}
      </g>
    {/each}
    {#if chosen && floor}
      <text
        x={(floor[0] + floor[1]) / 2}
        y={BAR_Y - 12}
        text-anchor="middle"
        class="fill-error font-bold"
        font-size="13"
        paint-order="stroke"
        stroke="var(--color-base-100)"
        stroke-width="5">{says.roundThisRing(formatQuantity('current', chosen.ampere, 2))}</text
      >
    {/if}
  </svg>
</div>
