<script lang="ts">
  import { resolve } from '$core/plan/resolved';
  import type { LessonId } from '$core/lessons/types';
  import { useShow } from '$lib/show/session/context';
  import { lineName } from '$lib/show/session/edits';
  import { untrack } from 'svelte';
  import LessonPage from './LessonPage.svelte';

  /** A lesson on a line of the show that is open, and the way back to it. */
  const { lesson, line }: { lesson: LessonId; line: string | null } = $props();
  const show = useShow();
  // As it is when the lesson begins: what others change meanwhile does not turn its knobs.
  const own = untrack(() => {
    const { plan } = show.session;
    const found = line === null ? undefined : resolve(plan).line(line);
    if (!found) return null;
    return { plan, lineId: found.id, name: lineName(found), back: `/show/${show.id}?line=${found.id}` };
  });
  const query = $derived(line === null ? '' : `?line=${line}`);
</script>

<LessonPage id={lesson} {own} list="/learn" next={(id) => `/show/${show.id}/learn/${id}${query}`} />
