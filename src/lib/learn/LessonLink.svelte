<script lang="ts">
  import type { Code } from '$core/judge/types';
  import { LESSON_OF } from '$core/lessons/lesson-of';
  import { LESSON_TITLES } from '$core/words/lesson-titles';
  import { lessons as says } from '$core/words/screen/lessons';
  import { lessonAt } from '$lib/show/board/lesson-for';

  /** From a finding to its lesson, on the same line. */
  const { showId, lineId, code }: { showId: string; lineId: string; code: Code } = $props();
</script>

<p class="pt-1">
  <a class="link" href={lessonAt(showId, lineId, code)}>{says.learnOf(LESSON_TITLES[LESSON_OF[code]])}</a>
</p>
