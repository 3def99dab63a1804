<script lang="ts">
  import { type LogEntry, stands } from '$core/log/entry';
  import { kitChangeText } from '$core/words/kit-life';
  import { unit as says } from '$core/words/screen/unit';
  import type { KitEvent } from '$lib/protocol/kit';
  import { dateTime } from '$lib/ui/when';

  interface Props {
    events: readonly KitEvent[];
    notes: readonly LogEntry[];
  }
  /** What became of a thing, newest first, and what was logged of it at shows. */
  const { events, notes }: Props = $props();
</script>

<section>
  <h2 class="heading">{says.life}</h2>
  {#if events.length === 0}<p class="text-quiet">{says.nothingYet}</p>{/if}
  <ol data-life>
    {#each events as event, k (k)}
      {@const changed = kitChangeText(event.before, event.after)}
      <li class="grid grid-cols-[150px_1fr] gap-x-3 border-b border-base-300 py-2 leading-snug max-sm:grid-cols-1">
        <time class="num text-[0.93em] text-quiet" datetime={event.at}>{dateTime(event.at)}</time>
        <div class="min-w-0 [overflow-wrap:anywhere]">
          {#if event.said}<p class="font-semibold">{event.said}</p>{/if}
          {#if changed}<p>{changed}</p>{/if}
          <p class="text-[0.93em] text-quiet">
            {event.by ?? ''}{#if event.show}{event.by ? ', ' : ''}<a class="link" href="/show/{event.show.id}/log"
                >{says.atShow(event.show.name)}</a
              >{/if}
          </p>
        </div>
      </li>
    {/each}
  </ol>
</section>
{#if notes.length > 0}
  <section>
    <h2 class="heading">{says.inTheLog}</h2>
    <ul>
      {#each notes as entry (entry.id)}
        <li class="border-b border-base-300 py-2 leading-snug">
          {stands(entry)}
          <span class="block text-[0.93em] text-quiet"
            >{entry.place}, {dateTime(entry.at)}{entry.by ? `, ${entry.by}` : ''}</span
          >
        </li>
      {/each}
    </ul>
  </section>
{/if}
