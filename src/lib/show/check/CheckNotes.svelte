<script lang="ts">
  import type { Line } from '$core/plan/lines';
  import { check as says } from '$core/words/screen/check';
  import { useShow } from '$lib/show/session/context';
  import { lineName } from '$lib/show/session/edits';
  import { toast } from 'svelte-sonner';
  import type { CheckEntry } from './check-entry.svelte';
  import CheckPhotos from './CheckPhotos.svelte';
  import { shrink } from '$lib/ui/shrink';
  import type { ReadingLog } from './reading-log.svelte';

  interface Props {
    line: Line;
    entry: CheckEntry;
    readings: ReadingLog;
    /** The note is open. */
    noting: boolean;
    onnote: (open: boolean) => void;
  }
  /** What is written and photographed of a line. */
  const { line, entry, readings, noting, onnote }: Props = $props();
  const show = useShow();
  let picker = $state<HTMLInputElement>();
  async function addPhoto(file: File | undefined): Promise<void> {
    if (picker) picker.value = '';
    if (!file) return;
    const { id } = line;
    const data = await shrink(file).catch(() => null);
    if (!show.mayChange) toast.error(says.youMayLookAtThisShow);
    else if (data) await readings.addPhoto(id, data);
    else toast.error(says.thatIsNoPictureThatCan);
  }
</script>

<div class="mt-3 grid grid-cols-2 gap-2 border-t border-base-300 pt-3">
  <button type="button" class="btn min-h-12" aria-pressed={noting} onclick={() => onnote(!noting)}>{says.note}</button>
  <button type="button" class="btn min-h-12" onclick={() => picker?.click()}>{says.photo}</button>
  <input
    bind:this={picker}
    type="file"
    accept="image/*"
    capture="environment"
    class="hidden"
    aria-label={says.pictureOf(lineName(line))}
    onchange={(e) => void addPhoto(e.currentTarget.files?.[0])}
  />
</div>
{#if noting}
  <label class="mt-3 block">
    <span class="font-semibold">{says.note}</span>
    <textarea class="textarea mt-1 w-full" rows="3" maxlength="500" placeholder={says.noteHint} bind:value={entry.note}
    ></textarea>
  </label>
{/if}
<CheckPhotos showId={show.id} photos={readings.photos.filter((p) => p.lineId === line.id)} lineName={lineName(line)} />
