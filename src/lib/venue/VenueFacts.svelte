<script lang="ts">
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

<div class="grid grid-cols-3 gap-3 max-sm:grid-cols-1">
  {@render field(says.name, venue.name, VENUE_LIMITS.name, '', (name) => name && onput({ name }))}
  {@render field(says.electrician, venue.electrician, 200, says.whoMayOpen, (electrician) => onput({ electrician }))}
  {@render field(says.deskThere, venue.desk ?? '', 200, says.whichDesk, (desk) => onput({ desk }))}
  <label class="grid gap-0.5"
    ><span class="text-[0.93em] text-quiet">{says.room}</span><select
      class="select w-full"
      disabled={!mayChange}
      value={venue.room}
      onchange={(event) => onput({ room: (event.currentTarget.value || null) as Venue['room'] })}
      ><option value={null}>{says.notSaid}</option>{#each ROOMS as room (room)}<option value={room}
          >{ROOM_NAMES[room]}</option
        >{/each}</select
    ></label
  >
  <label class="grid gap-0.5"
    ><span class="text-[0.93em] text-quiet">{says.mains}</span><select
      class="select w-full"
      disabled={!mayChange}
      value={venue.mainsHz}
      onchange={(event) => onput({ mainsHz: event.currentTarget.value === '60' ? 60 : 50 })}
      ><option value={50}>{says.fifty}</option><option value={60}>{says.sixty}</option></select
    ></label
  >
  <label class="col-span-full grid gap-0.5"
    ><span class="text-[0.93em] text-quiet">{says.note}</span><textarea
      class="textarea min-h-20 w-full"
      maxlength={VENUE_LIMITS.note}
      placeholder={says.loadIn}
      disabled={!mayChange}
      value={venue.note}
      onchange={(event) => onput({ note: event.currentTarget.value.trim() })}></textarea></label
  >
</div>

{#snippet field(name: string, value: string, most: number, example: string, set: (value: string) => void)}
  <label class="grid gap-0.5"
    ><span class="text-[0.93em] text-quiet">{name}</span><input
      class="input w-full"
      maxlength={most}
      placeholder={example}
      disabled={!mayChange}
      {value}
      onchange={(event) => set(event.currentTarget.value.trim())}
    /></label
  >
{/snippet}
