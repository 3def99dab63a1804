<script lang="ts">
  import Fact from '$lib/ui/Fact.svelte';
  import { venue as says } from '$core/words/screen/venue';
  import { ROOM_NAMES } from '$core/words/names';
  import { type Venue, VENUE_LIMITS } from '$core/venue/schema';

  interface Props {
    venue: Venue;
    mayChange: boolean;
    onput: (change: Partial<Venue>) => void;
  }
  /** What a person knows of a place; what is typed is kept as one leaves the field. */
  const { venue, mayChange, onput }: Props = $props();
  const ROOMS = Object.keys(ROOM_NAMES) as (keyof typeof ROOM_NAMES)[];
</script>

<div class="grid grid-cols-3 gap-x-6 gap-y-3 max-sm:grid-cols-1">
  <Fact
    name={says.name}
    value={venue.name}
    most={VENUE_LIMITS.name}
    disabled={!mayChange}
    onset={(name) => name && onput({ name })}
  />
  <Fact
    name={says.electrician}
    value={venue.electrician}
    most={200}
    example={says.whoMayOpen}
    disabled={!mayChange}
    onset={(electrician) => onput({ electrician })}
  />
  <Fact
    name={says.deskThere}
    value={venue.desk ?? ''}
    most={200}
    example={says.whichDesk}
    disabled={!mayChange}
    onset={(desk) => onput({ desk })}
  />
  <Fact
    long
    wide
    name={says.note}
    value={venue.note}
    most={VENUE_LIMITS.note}
    example={says.loadIn}
    disabled={!mayChange}
    onset={(note) => onput({ note })}
  />
  <label class="grid content-start gap-0"
    ><span class="text-[0.93em] text-quiet">{says.room}</span><select
      class="h-9 w-full border-b border-base-300 bg-transparent max-sm:h-11"
      disabled={!mayChange}
      value={venue.room}
      onchange={(event) => onput({ room: (event.currentTarget.value || null) as Venue['room'] })}
      ><option value={null}>{says.notSaid}</option>{#each ROOMS as room (room)}<option value={room}
          >{ROOM_NAMES[room]}</option
        >{/each}</select
    ></label
  >
  <label class="grid content-start gap-0"
    ><span class="text-[0.93em] text-quiet">{says.mains}</span><select
      class="h-9 w-full border-b border-base-300 bg-transparent max-sm:h-11"
      disabled={!mayChange}
      value={venue.mainsHz}
      onchange={(event) => onput({ mainsHz: event.currentTarget.value === '60' ? 60 : 50 })}
      ><option value={50}>{says.fifty}</option><option value={60}>{says.sixty}</option></select
    ></label
  >
</div>
