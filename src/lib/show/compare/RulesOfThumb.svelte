<script lang="ts">
  import { counted } from '$core/words/screen/counted';
  import { compare as says } from '$core/words/screen/compare';
  import { resolve } from '$core/plan/resolved';
  import { chosenOf, type Question, QUESTIONS, type School } from '$core/advise/schools';
  import { rank } from '$core/judge/types';
  import { sentence } from '$core/words/findings';
  import { SEVERITY_NAMES } from '$core/words/names';
  import { decibelsText, QUESTION_NAMES, schoolName, schoolReason, wayShort } from '$core/words/routes';
  import Mark from '$lib/ui/Mark.svelte';
  import { onMount } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { Advising } from './advising.svelte';
  import { useShow } from '$lib/show/session/context';
  import { lineName, setPolicy } from '$lib/show/session/edits';

  const show = useShow();
  const { session } = show;
  const plan = $derived(session.plan);
  const search = new Advising<School[]>();
  const names = $derived(new Map(resolve(plan).lines.map((l) => [l.id, lineName(l)])));
  let open = $state<string | null>(null);

  // Asked again whenever the plan is another; the old answer stays to read meanwhile.
  $effect(() => {
    const now = plan;
    void search.run((api, progress) => api.schools(now, progress));
  });
  onMount(() => () => search.cancel());

  const of = (question: Question, option: School['option']): School | undefined =>
    search.result?.find((s) => s.question === question && s.option === option);
  const worse = (school: School) => school.differs.filter((d) => rank(d.severity) > rank(d.against));
  const better = (school: School) => school.differs.filter((d) => rank(d.severity) < rank(d.against));

  function choose(question: Question, option: School['option']): void {
    if (!session.do(setPolicy(plan, schoolName(question, option), { [question]: option }))) return;
    toast(`${QUESTION_NAMES[question]}: ${schoolName(question, option)}.`, {
      action: { label: says.undo, onClick: show.undo }
    });
  }
  function summary(school: School): string {
    if (school.differs.length === 0) return says.asComputedOnEveryLineHere;
    const [bad, good] = [worse(school).length, better(school).length];
    const parts = [says.differsOn(school.differs.length, counted.line(school.differs.length))];
    if (bad > 0) parts.push(`${bad} worse`);
    if (good > 0) parts.push(`${good} better`);
    return parts.join(', ');
  }
</script>

<main class="px-5 pt-4 pb-12 max-sm:px-3.5">
  <div class="flex flex-wrap items-baseline gap-x-4">
    <h1 class="text-[1.35em] font-bold">{says.whatWouldEachSchoolDoWith}</h1>
    {#if search.progress !== null}<span class="ml-auto text-quiet" role="status"
        >{says.computing(Math.round(search.progress * 100))}</span
      >{/if}
  </div>
  <p class="max-w-[70ch] pt-1 pb-2 text-quiet">
    {says.eachIsARuleThatSomebody}
  </p>
  {#if search.failed}<p class="text-error" role="alert">{search.failed}</p>{/if}
  {#each Object.keys(QUESTIONS) as Question[] as question (question)}
    <section class="pt-3" aria-labelledby="q-{question}">
      <h2 class="heading" id="q-{question}">{QUESTION_NAMES[question]}</h2>
      <div role="radiogroup" aria-labelledby="q-{question}">
        {#each QUESTIONS[question] as option (option)}
          {@const school = of(question, option)}
          {@const chosen = chosenOf(plan.policy, question) === option}
          {@const id = `${question} ${option}`}
          <div class="border-base-300 py-1.5 [&+div]:border-t" data-school={id}>
            <div
              class="grid grid-cols-[24px_minmax(0,1fr)_auto] items-baseline gap-x-2 max-sm:grid-cols-[28px_minmax(0,1fr)]"
            >
              <input
                type="radio"
                class="radio translate-y-1 radio-sm radio-primary"
                name={question}
                id="o-{id}"
                checked={chosen}
                onchange={() => choose(question, option)}
              />
              <label for="o-{id}" class="leading-snug"
                ><strong class={chosen ? 'text-primary' : ''}>{schoolName(question, option)}</strong>
                <span class="text-quiet">{schoolReason(question, option)}</span></label
              >
              {#if school && school.differs.length > 0}
                <button
                  type="button"
                  class="text-right underline decoration-dotted hover:text-primary max-sm:col-start-2 max-sm:py-2 max-sm:text-left {worse(
                    school
                  ).length > 0
                    ? 'text-error'
                    : ''}"
                  aria-expanded={open === id}
                  onclick={() => (open = open === id ? null : id)}>{summary(school)}</button
                >
              {:else}
                <span class="text-right text-quiet max-sm:col-start-2 max-sm:text-left"
                  >{school ? summary(school) : ''}</span
                >
              {/if}
            </div>
            {#if open === id && school}
              <ul class="pt-1 pl-8 max-sm:pl-0">
                {#each school.differs as d (d.lineId)}
                  <li
                    class="grid grid-cols-[150px_minmax(0,1fr)] gap-x-3 py-1 max-sm:grid-cols-1"
                    data-differs={d.lineId}
                  >
                    <a class="truncate font-semibold hover:underline" href="/show/{show.id}/compare/{d.lineId}"
                      >{names.get(d.lineId) ?? d.lineId}</a
                    >
                    <span class="leading-snug">
                      {#if d.route && d.computed}{says.insteadOf(
                          wayShort(d.route),
                          wayShort(d.computed),
                          decibelsText(d.decibels)
                        )}{:else}{decibelsText(d.decibels)}.{/if}
                      <span class="inline-flex items-center gap-1 align-bottom whitespace-nowrap"
                        ><Mark severity={d.against} size={14} />{SEVERITY_NAMES[d.against]} →
                        <Mark severity={d.severity} size={14} />{SEVERITY_NAMES[d.severity]}</span
                      >
                      {#if d.because}<span class="text-quiet">{sentence(d.because)}</span>{/if}
                    </span>
                  </li>
                {/each}
              </ul>
            {/if}
          </div>
        {/each}
      </div>
    </section>
  {/each}
</main>
