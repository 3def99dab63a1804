<script lang="ts">
  import { pages as says } from '$core/words/screen/pages';
  import AccountForm from '$lib/crew/AccountForm.svelte';
  import Door from '$lib/crew/Door.svelte';
  import { ROLE_NAMES, ROLE_SAYS } from '$lib/crew/roles';
  import { send } from '$lib/ui/send';

  const { data } = $props();
  let wrong = $state<string | null>(null);

  async function accept(): Promise<string | null> {
    const sent = await send('POST', '/api/crew/accept', { token: data.token });
    if (!sent.ok) return sent.message;
    location.assign('/');
    return null;
  }
  async function signUp({ name, email, password }: Readonly<Record<string, string>>): Promise<string | null> {
    const sent = await send('POST', '/api/auth/sign-up/email', { name, email, password, invite: data.token });
    if (sent.ok) return accept();
    return sent.status === 429 ? says.tooManyTriesWaitAMinute : sent.message;
  }
</script>

{#if !data.invite}
  <Door title={says.thisInvitationIsNoLongerGood}>
    <p>{says.itHasBeenUsedTakenBack}</p>
    <a class="underline" href="/">{says.toTheShows}</a>
  </Door>
{:else}
  <Door title={says.join(data.invite.crew)}>
    <p>
      {says.as} <strong>{ROLE_NAMES[data.invite.role].toLowerCase()}</strong>{says.who(ROLE_SAYS[data.invite.role])}
    </p>
    {#if data.name}
      {#if wrong}<p class="border-l-2 border-error pl-3" role="alert">{wrong}</p>{/if}
      <button type="button" class="btn h-12 btn-primary" onclick={async () => (wrong = await accept())}
        >{says.joinAs(data.name)}</button
      >
    {:else}
      <AccountForm
        action="Make the account"
        onsend={signUp}
        fields={[
          {
            name: 'name',
            label: says.yourName,
            type: 'text',
            autocomplete: 'name',
            hint: says.asItStandsBesideWhatYou
          },
          {
            name: 'email',
            label: says.email,
            type: 'email',
            autocomplete: 'username',
            hint: says.toSignInWithNothingIs
          },
          {
            name: 'password',
            label: says.password,
            type: 'password',
            autocomplete: 'new-password',
            hint: says.tenCharactersOrMore,
            least: 10
          }
        ]}
      >
        <p class="text-[0.93em] text-quiet">
          {says.youHaveAnAccountHere}
          <a class="underline" href="/sign-in?to=/invite/{data.token}">{says.signIn}</a>{says.andJoinWithIt}
        </p>
      </AccountForm>
    {/if}
  </Door>
{/if}
