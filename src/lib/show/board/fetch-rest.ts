/** What the first view does without is fetched right behind it, so that it is there when the server is not. */
export const fetchRest = (): Promise<unknown> =>
  Promise.allSettled([
    import('$lib/show/line/OpenLine.svelte'),
    import('$lib/ui/Converter.svelte'),
    import('$lib/show/session/StopClear.svelte'),
    import('$lib/show/session/SetAside.svelte'),
    import('./ListDialog.svelte'),
    import('$lib/show/line/HumPanel.svelte'),
    import('$lib/show/line/ContactsPanel.svelte'),
    import('$lib/show/line/TolerancePanel.svelte'),
    import('$lib/show/dialogs/DeviceDialog.svelte'),
    import('$lib/show/dialogs/CableDialog.svelte'),
    import('$lib/show/dialogs/InfoDialog.svelte'),
    import('$lib/show/dialogs/LineDialog.svelte'),
    import('$lib/show/dialogs/KeysDialog.svelte'),
    import('$lib/show/dialogs/OwnModelDialog.svelte'),
    import('$lib/show/dialogs/LineIsLiveDialog.svelte')
  ]);
