<script lang="ts">
  import { crew as says } from '$core/words/screen/crew';
  import { renew } from '$lib/ui/renew';
  import { dateTime } from '$lib/ui/when';
  import { forgetAll } from '$lib/offline/device';
  import { send } from '$lib/ui/send';
  import { toast } from 'svelte-sonner';
  import Devices from './Devices.svelte';
  import LinkDialog from './LinkDialog.svelte';
  import { atLeast, type Rank, type Role, ROLE_NAMES, ROLE_SAYS, ROLES } from './roles';

  interface Props {
    data: {
      crew: { id: string; name: string };
      me: { id: string; rank: Rank; name: string | null };
      people: { id: string; name: string; role: Role; email: string | null }[];
      invites: { id: string; role: Role; by: string | null; expiresAt: string }[];
      shares: { id: string; showId: string; show: string; at: string }[];
      devices: { id: string; agent: string | null; at: string; here: boolean }[];
      crews: { id: string; name: string }[];
      origin: string;
      originForOthers: string | null;
    };
  }
  const { data }: Props = $props();

  const owner = $derived(atLeast(data.me.rank, 'owner'));
  let busy = $state(false);
  let made = $state.raw<{ title: string; path: string; text: string } | null>(null);
  let newCrew = $state('');
  /** Whoever is about to be taken out: only a new invitation brings them back, so it is asked once more. */
  let leaving = $state<string | null>(null);

  /** Sends a change and looks anew; says what went wrong. */
  async function change<T>(method: string, path: string, body?: unknown): Promise<T | null> {
    busy = true;
    const sent = await send<T>(method, path, body);
    busy = false;
    await renew('app:crew');
    if (sent.ok) return sent.answer;
    toast.error(sent.message);
    return null;
  }

  async function invite(role: Role): Promise<void> {
    const answer = await change<{ token: string }>('POST', '/api/crew/invites', { role });
    if (answer)
      made = {
        title: says.anInvitation(ROLE_NAMES[role].toLowerCase()),
        path: `/invite/${answer.token}`,
        text: says.goodForOnePersonAndOne
      };
  }
  /** The first account is made through an invitation like any other. */
  async function begin(): Promise<void> {
    const answer = await change<{ token: string }>('POST', '/api/crew/invites', { role: 'owner' });
    if (answer) location.assign(`/invite/${answer.token}`);
  }
  async function addDevice(): Promise<void> {
    const answer = await change<{ code: string }>('POST', '/api/auth/device-code/make', {});
    if (answer)
      made = {
        title: says.addADevice,
        path: `/join/${answer.code}`,
        text: says.scanThisWithYourPhoneGood
      };
  }
  async function remove(id: string, name: string, forget: boolean): Promise<void> {
    leaving = null;
    if (await change('DELETE', `/api/crew/people/${id}${forget ? '?forget' : ''}`))
      toast(says.isNoLongerInTheCrew(name));
  }
  async function signOut(): Promise<void> {
    await send('POST', '/api/auth/sign-out', {});
    await forgetAll();
    location.assign('/sign-in');
  }
  async function goTo(crewId: string): Promise<void> {
    if (await change('POST', '/api/crew/switch', { crewId })) location.assign('/');
  }
  async function makeCrew(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    if (await change('POST', '/api/crew', { name: newCrew })) location.assign('/');
  }
  async function rename(event: Event & { currentTarget: HTMLInputElement }): Promise<void> {
    const name = event.currentTarget.value.trim();
    if (name === data.crew.name) return;
    if (name === '' || !(await change('PUT', '/api/crew/name', { name }))) event.currentTarget.value = data.crew.name;
  }
</script>

<main class="mx-auto max-w-[980px] px-5 py-6 max-sm:px-3.5">
  <h1 class="text-[1.6em] leading-tight font-bold">{data.crew.name}</h1>
  <p class="text-quiet">{says.whoBelongsToTheCrewWith}</p>

  {#if data.me.name === null}
    <section class="mt-6 max-w-[62ch] border-l-2 border-primary pl-4">
      <h2 class="text-[1.15em] font-bold">{says.noAccountsYet}</h2>
      <p class="pt-1">
        {says.everybodyAtThisMachineIsIn}
      </p>
      <p class="pt-1">{says.whatHasBeenPlannedSoFar}</p>
      <button type="button" class="btn mt-3 h-12 btn-primary" disabled={busy} onclick={begin}
        >{says.makeTheFirstAccount}</button
      >
    </section>
  {:else}
    <div class="mt-5 grid gap-x-10 gap-y-7 md:grid-cols-[1.25fr_1fr]">
      <section aria-labelledby="people">
        <h2 id="people" class="border-b border-base-300 pb-1.5 font-bold">{says.people}</h2>
        <ul>
          {#each data.people as person (person.id)}
            <li class="flex min-h-12 flex-wrap items-center gap-x-3 border-b border-base-300 py-1.5">
              <span class="min-w-0 flex-1">
                <span class="block truncate font-semibold"
                  >{person.name}{#if person.id === data.me.id}<span class="font-normal text-quiet">{says.you}</span
                    >{/if}</span
                >
                {#if person.email}<span class="block truncate text-[0.93em] text-quiet">{person.email}</span>{/if}
              </span>
              {#if owner}
                <select
                  class="select w-32"
                  aria-label={says.whatMayDo(person.name)}
                  value={person.role}
                  disabled={busy}
                  onchange={async (event) => {
                    const field = event.currentTarget;
                    if (!(await change('PUT', `/api/crew/people/${person.id}`, { role: field.value })))
                      field.value = person.role;
                  }}
                >
                  {#each ROLES as role (role)}<option value={role}>{ROLE_NAMES[role]}</option>{/each}
                </select>
                {#if leaving === person.id}
                  <button
                    type="button"
                    class="py-2 font-semibold text-error"
                    disabled={busy}
                    onclick={() => remove(person.id, person.name, false)}
                    >{says.yesRemove}<span class="sr-only"> {person.name}</span></button
                  >
                  <button
                    type="button"
                    class="py-2 font-semibold text-error"
                    disabled={busy}
                    onclick={() => remove(person.id, person.name, true)}
                    >{says.forgetName}<span class="sr-only"> {says.nameOf(person.name)}</span></button
                  >
                  <button type="button" class="py-2 text-quiet" onclick={() => (leaving = null)}>{says.keep}</button>
                {:else}
                  <button
                    type="button"
                    class="py-2 text-quiet hover:text-error"
                    disabled={busy}
                    onclick={() => (leaving = person.id)}
                    >{says.remove}<span class="sr-only"> {person.name}</span></button
                  >
                {/if}
              {:else}
                <span class="text-quiet">{ROLE_NAMES[person.role]}</span>
              {/if}
            </li>
          {/each}
        </ul>
        {#if owner}
          <p class="pt-3 font-semibold">{says.inviteSomebody}</p>
          <div class="flex flex-wrap gap-2 pt-1.5">
            {#each ROLES as role (role)}
              <button
                type="button"
                class="btn btn-outline"
                disabled={busy}
                title={ROLE_SAYS[role]}
                onclick={() => invite(role)}
                >{role === 'reader' ? says.a : says.an} {ROLE_NAMES[role].toLowerCase()}</button
              >
            {/each}
          </div>
          <p class="pt-1.5 text-[0.93em] text-quiet">
            {ROLES.map((role) => `${ROLE_NAMES[role]}: ${ROLE_SAYS[role]}`).join('. ')}.
          </p>
          {#if data.invites.length > 0}
            <ul class="pt-2">
              {#each data.invites as one (one.id)}
                <li class="flex min-h-10 items-center gap-3 text-[0.93em]">
                  <span class="flex-1"
                    >{says.openInvitationUntil(
                      ROLE_NAMES[one.role].toLowerCase(),
                      one.by ? says.by(one.by) : '',
                      dateTime(one.expiresAt)
                    )}</span
                  >
                  <button
                    type="button"
                    class="py-2 text-quiet hover:text-error"
                    disabled={busy}
                    onclick={() => change('DELETE', `/api/crew/invites/${one.id}`)}>{says.takeBack}</button
                  >
                </li>
              {/each}
            </ul>
          {/if}
        {/if}
      </section>

      <Devices devices={data.devices} {busy} {change} onadd={() => void addDevice()} onsignout={() => void signOut()} />

      {#if atLeast(data.me.rank, 'engineer')}
        <section aria-labelledby="links">
          <h2 id="links" class="border-b border-base-300 pb-1.5 font-bold">{says.linksToShows}</h2>
          {#each data.shares as one (one.id)}
            <p class="flex min-h-12 items-center gap-3 border-b border-base-300">
              <span class="min-w-0 flex-1"
                ><a class="font-semibold hover:underline" href="/show/{one.showId}">{one.show}</a>
                <span class="text-[0.93em] text-quiet">{says.since(dateTime(one.at))}</span></span
              >
              <button
                type="button"
                class="py-2 text-quiet hover:text-error"
                disabled={busy}
                onclick={() => change('DELETE', `/api/crew/shares/${one.id}`)}
                >{says.takeBack}<span class="sr-only"> {says.theLinkTo(one.show)}</span></button
              >
            </p>
          {:else}
            <p class="pt-2 text-quiet">
              {says.none} <a class="underline" href="/">{says.share}</a>
              {says.besideAShowMakesOne}
            </p>
          {/each}
        </section>
      {/if}

      <section aria-labelledby="crews">
        <h2 id="crews" class="border-b border-base-300 pb-1.5 font-bold">{says.thisCrewAndOthers}</h2>
        {#if owner}
          <label class="flex items-center gap-3 pt-2.5">
            <span class="text-quiet">{says.name}</span>
            <input class="input w-full" value={data.crew.name} maxlength="60" onchange={rename} />
          </label>
        {/if}
        {#each data.crews.filter((c) => c.id !== data.crew.id) as other (other.id)}
          <p class="flex min-h-12 items-center gap-3 border-b border-base-300">
            <span class="flex-1 font-semibold">{other.name}</span>
            <button type="button" class="py-2 underline" disabled={busy} onclick={() => goTo(other.id)}
              >{says.goThere}</button
            >
          </p>
        {/each}
        <form class="flex gap-2 pt-2.5" onsubmit={makeCrew}>
          <input
            class="input w-full"
            placeholder={says.nameOfAnotherCrew}
            aria-label={says.nameOfAnotherCrew}
            maxlength="60"
            bind:value={newCrew}
          />
          <button class="btn btn-outline" disabled={busy || newCrew.trim() === ''}>{says.makeIt}</button>
        </form>
      </section>
    </div>
  {/if}
</main>

{#if made}
  <LinkDialog
    title={made.title}
    path={made.path}
    origin={data.origin}
    originForOthers={data.originForOthers}
    onclose={() => (made = null)}>{made.text}</LinkDialog
  >
{/if}
