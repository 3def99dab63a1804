<script lang="ts">
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
    return sent.status === 429 ? 'Too many tries. Wait a minute.' : sent.message;
  }
</script>

{#if !data.invite}
  <Door title="This invitation is no longer good">
    <p>It has been used, taken back, or is older than a week. Ask an owner of the crew for a new one.</p>
    <a class="underline" href="/">To the shows</a>
  </Door>
{:else}
  <Door title="Join {data.invite.crew}">
    <p>
      As <strong>{ROLE_NAMES[data.invite.role].toLowerCase()}</strong>, who {ROLE_SAYS[data.invite.role]}.
    </p>
    {#if data.name}
      {#if wrong}<p class="border-l-2 border-error pl-3" role="alert">{wrong}</p>{/if}
      <button type="button" class="btn h-12 btn-primary" onclick={async () => (wrong = await accept())}
        >Join as {data.name}</button
      >
    {:else}
      <AccountForm
        action="Make the account"
        onsend={signUp}
        fields={[
          {
            name: 'name',
            label: 'Your name',
            type: 'text',
            autocomplete: 'name',
            hint: 'As it stands beside what you read and change.'
          },
          {
            name: 'email',
            label: 'Email',
            type: 'email',
            autocomplete: 'username',
            hint: 'To sign in with. Nothing is ever sent to it.'
          },
          {
            name: 'password',
            label: 'Password',
            type: 'password',
            autocomplete: 'new-password',
            hint: 'Ten characters or more.',
            least: 10
          }
        ]}
      >
        <p class="text-[0.93em] text-quiet">
          You have an account here? <a class="underline" href="/sign-in?to=/invite/{data.token}">Sign in</a>, and join
          with it.
        </p>
      </AccountForm>
    {/if}
  </Door>
{/if}
