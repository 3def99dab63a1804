<script lang="ts">
  import { check as says } from '$core/words/screen/check';
  import type { PhotoHere, PhotoOf } from '$lib/protocol/readings';

  interface Props {
    showId: string;
    photos: readonly (PhotoOf | PhotoHere)[];
    lineName: string;
  }
  /** Pictures of a line, newest first; each opens in full. */
  const { showId, photos, lineName }: Props = $props();
  const sourceOf = (p: PhotoOf | PhotoHere): string => ('data' in p ? p.data : `/api/shows/${showId}/photos/${p.id}`);
  const when = (p: PhotoOf): string => new Date(p.at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });
</script>

{#if photos.length > 0}
  <ul class="mt-3 flex gap-2 overflow-x-auto" aria-label={says.picturesOf(lineName)}>
    {#each photos as p (p.id)}
      <li class="shrink-0">
        <a href={sourceOf(p)} target="_blank" rel="noopener">
          <img class="h-24 rounded-[9px]" src={sourceOf(p)} alt="{lineName}, {when(p)}" loading="lazy" />
        </a>
      </li>
    {/each}
  </ul>
{/if}
