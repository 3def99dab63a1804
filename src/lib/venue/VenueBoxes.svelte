<script lang="ts">
  import { venue as says } from '$core/words/screen/venue';
  import { boxText, runText, socketName, socketText } from '$core/words/venue';
  import type { Venue, VenueBox, VenueSocket } from '$core/venue/schema';

  interface Props {
    venue: Venue;
    mayChange: boolean;
    onput: (change: Partial<Venue>) => void;
  }
  /** The plan of a place’s sockets: each box with what is known against its sockets, tie lines, distances. */
  const { venue, mayChange, onput }: Props = $props();
  const boxes = $derived(venue.boxes ?? []);
  const runs = $derived(venue.runs ?? []);
  const known = (box: VenueBox, socket: number): VenueSocket | undefined =>
    venue.sockets.find(
      (s) =>
        s.socket === socket && (s.box.toUpperCase() === box.name.toUpperCase() || (s.box === '' && boxes.length === 1))
    );
  const MARK: Readonly<Record<VenueSocket['is'], string>> = {
    dead: 'border-error bg-error text-error-content line-through',
    noisy: 'border-warning text-warning font-semibold',
    'no-phantom': 'border-dashed border-base-content',
    note: 'border-base-content'
  };
</script>

<section class="grid gap-2">
  <h2 class="heading">{says.boxes}</h2>
  {#if boxes.length === 0}<p class="text-quiet">{says.boxesTeach}</p>{/if}
  {#each boxes as box (box.name)}
    <div class="grid gap-1.5" data-box={box.name}>
      <p class="flex flex-wrap gap-x-3">
        <span>{boxText(box)}</span>
        {#if mayChange}<button
            type="button"
            class="link text-quiet"
            aria-label={says.takeOut(boxText(box))}
            onclick={() => onput({ boxes: boxes.filter((b) => b !== box) })}>{says.forgetIt}</button
          >{/if}
      </p>
      <ol class="flex max-w-[640px] flex-wrap gap-1">
        {#each { length: Math.min(box.sockets, 96) } as _, k (k)}
          {@const at = known(box, k + 1)}
          <li
            class="num grid h-7 w-8 place-items-center rounded-[5px] border text-[0.86em] {at
              ? MARK[at.is]
              : 'border-base-300'}"
            title={says.socketIs(k + 1, at ? socketText(at) : says.fine)}
          >
            {k + 1}{#if at}<span class="sr-only">: {socketText(at)}</span>{/if}
          </li>
        {/each}
      </ol>
    </div>
  {/each}
  {#if venue.sockets.length === 0}
    <p class="text-quiet">{says.socketsTeach}</p>
  {/if}
  <ul>
    {#each venue.sockets as socket (`${socket.box} ${socket.socket}`)}
      <li class="flex flex-wrap gap-x-3 border-b border-base-300 py-1.5">
        {socketText(socket)}
        {#if mayChange}<button
            type="button"
            class="link text-quiet"
            onclick={() => onput({ sockets: venue.sockets.filter((s) => s !== socket) })}
            >{says.worksAgain(socketName(socket))}</button
          >{/if}
      </li>
    {/each}
  </ul>
</section>
<section>
  <h2 class="heading">{says.runs}</h2>
  {#if runs.length === 0}<p class="text-quiet">{says.runsTeach}</p>{/if}
  <ul>
    {#each runs as run (runText(run))}
      <li class="flex flex-wrap gap-x-3 border-b border-base-300 py-1.5">
        {runText(run)}
        {#if mayChange}<button
            type="button"
            class="link text-quiet"
            aria-label={says.takeOut(runText(run))}
            onclick={() => onput({ runs: runs.filter((r) => r !== run) })}>{says.forgetIt}</button
          >{/if}
      </li>
    {/each}
  </ul>
</section>
