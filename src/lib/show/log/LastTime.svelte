<script lang="ts">
  import { log as says } from '$core/words/screen/log';
  import { lastTime } from '$core/log/last-time';
  import type { Line } from '$core/plan/lines';
  import type { Op, Plan } from '$core/plan/schema';
  import { differsText, gainText, setupText } from '$core/words/last-time';
  import type { WorkedBefore } from '$lib/protocol/log';
  import { request } from '$lib/outbox/outcome';
  import { dateTime } from '$lib/ui/when';
  import { uuid } from '$lib/uuid';

  interface Props {
    showId: string;
    plan: Plan;
    line: Line;
    /** Computed for it as it is planned, dB. */
    gain: number | null;
    /** Sets it like that; null where the line is being checked and nothing is to be changed under it. */
    onset: ((ops: readonly Op[]) => void) | null;
    /** Room around it. */
    pad?: string;
  }
  /** How the line was set when it last worked, at another show: what it was, what may differ, one button to set it so again. */
  const { showId, plan, line, gain, onset, pad = '' }: Props = $props();
  let found = $state.raw<readonly WorkedBefore[]>([]);
  let shown = $state(0);
  const name = $derived(line.info?.name ?? '');
  const source = $derived(plan.devices[line.devices[0]].model);
  const instrument = $derived(line.info?.instrument);
  let asked = '';
  $effect(() => {
    const path = `/api/shows/${showId}/worked?${new URLSearchParams({ name, source, ...(instrument ? { instrument } : {}) }).toString()}`;
    if (path === asked) return;
    asked = path;
    [found, shown] = [[], 0];
    void request('GET', path, undefined).then(async (answer) => {
      // What was asked since counts; without an answer there is nothing to offer.
      if (answer?.ok && path === asked) found = ((await answer.json()) as { worked: WorkedBefore[] }).worked;
    });
  });
  const one = $derived(found[shown] as WorkedBefore | undefined);
  const held = $derived(
    one && lastTime(plan, line, one.setup, gain, (role) => `${line.id.slice(0, 20)}-${role}-${uuid().slice(0, 6)}`)
  );
</script>

{#if one && held}
  <section class="grid gap-1 leading-snug {pad}" aria-label={says.lastTime} data-last-time>
    <p>
      <span class="font-semibold">{says.lastTime}</span>
      <span class="text-quiet"
        >{one.named ? '' : `${one.setup.name}, `}{says.lastTimeAt(one.place, dateTime(one.at))}{one.by
          ? `, ${one.by}`
          : ''}</span
      >
      {#if found.length > 1}
        <button type="button" class="ml-2 link text-quiet" onclick={() => (shown = (shown + 1) % found.length)}
          >{says.otherTimes(found.length - 1)}</button
        >
      {/if}
    </p>
    <p class="[overflow-wrap:anywhere]">
      {setupText(one.setup)}{#if one.photos > 0}
        · <a class="link" href="/show/{one.show}/check?line={one.lineId}">{says.picturesThen(one.photos)}</a>{/if}
    </p>
    {#if held.differs.length > 0}
      <p class="text-quiet">{says.whyItMayDiffer} {held.differs.map(differsText).join('; ')}.</p>
    {/if}
    {#if held.gain.then !== null && held.gain.now !== null}
      <p class="text-quiet">{says.expectedThen(gainText(held.gain.then), gainText(held.gain.now))}</p>
    {/if}
    {#if held.ops?.length === 0}
      <p class="text-quiet">{says.alreadyLikeThat}</p>
    {:else if held.ops && onset}
      <button type="button" class="btn justify-self-start btn-sm" onclick={() => onset(held.ops!)}
        >{says.plugAsThen}</button
      >
    {/if}
  </section>
{/if}
