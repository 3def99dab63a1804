<script lang="ts">
  import { crew as says } from '$core/words/screen/crew';
  import Dialog from '$lib/ui/Dialog.svelte';
  import { send } from '$lib/ui/send';
  import { dateTime } from '$lib/ui/when';
  import { toast } from 'svelte-sonner';
  import AccountForm from './AccountForm.svelte';
  import { deviceName } from './agent';

  interface Props {
    devices: readonly { id: string; agent: string | null; at: string; here: boolean }[];
    busy: boolean;
    change: (method: string, path: string) => Promise<unknown>;
    onadd: () => void;
    onsignout: () => void;
  }
  /** What one is signed in with, and the password by which. */
  const { devices, busy, change, onadd, onsignout }: Props = $props();
  let changing = $state(false);

  /** A new password ends every other device: who had the old one is out. */
  async function setPassword({ current, password }: Readonly<Record<string, string>>): Promise<string | null> {
    const sent = await send('POST', '/api/auth/change-password', {
      currentPassword: current,
      newPassword: password,
      revokeOtherSessions: true
    });
    if (!sent.ok) return sent.message;
    changing = false;
    toast(says.passwordChanged);
    await change('DELETE', '/api/crew/devices/others');
    return null;
  }
</script>

<section aria-labelledby="devices">
  <h2 id="devices" class="border-b border-base-300 pb-1.5 font-bold">{says.yourDevices}</h2>
  <ul>
    {#each devices as device (device.id)}
      <li class="flex min-h-12 items-center gap-3 border-b border-base-300 py-1.5">
        <span class="min-w-0 flex-1">
          <span class="block truncate font-semibold"
            >{deviceName(device.agent)}{#if device.here}<span class="font-normal text-quiet">{says.thisOne}</span
              >{/if}</span
          >
          <span class="block text-[0.93em] text-quiet">{says.signedInOrUsed(dateTime(device.at))}</span>
        </span>
        {#if !device.here}
          <button
            type="button"
            class="py-2 text-quiet hover:text-error"
            disabled={busy}
            onclick={() => change('DELETE', `/api/crew/devices/${device.id}`)}
            >{says.end}<span class="sr-only"> {deviceName(device.agent)}</span></button
          >
        {/if}
      </li>
    {/each}
  </ul>
  <p class="pt-2 text-[0.93em] text-quiet">{says.aDeviceStaysSignedIn}</p>
  <div class="flex flex-wrap gap-2 pt-3">
    <button type="button" class="btn btn-primary" disabled={busy} onclick={onadd}>{says.addADevice}</button>
    {#if devices.length > 1}
      <button
        type="button"
        class="btn btn-outline"
        disabled={busy}
        onclick={() => change('DELETE', '/api/crew/devices/others')}>{says.endAllOthers}</button
      >
    {/if}
    <button type="button" class="btn btn-outline" onclick={() => (changing = true)}>{says.changePassword}</button>
    <button type="button" class="btn btn-outline" onclick={onsignout}>{says.signOut}</button>
  </div>
</section>

{#if changing}
  <Dialog title={says.changePassword} onclose={() => (changing = false)}>
    <AccountForm
      action={says.setPassword}
      onsend={setPassword}
      fields={[
        { name: 'current', label: says.presentPassword, type: 'password', autocomplete: 'current-password' },
        {
          name: 'password',
          label: says.newPassword,
          type: 'password',
          autocomplete: 'new-password',
          hint: says.tenCharactersEveryOther,
          least: 10
        }
      ]}
    />
  </Dialog>
{/if}
