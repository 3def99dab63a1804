/** A moment as people of this browser's language write it. */
export const dateTime = (iso: string): string =>
  new Date(iso).toLocaleString(undefined, { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });
/** The time of day of a moment, and its day, as people of this browser's language write them. */
export const timeOf = (iso: string): string =>
  new Date(iso).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' });
export const dayOf = (iso: string): string =>
  new Date(iso).toLocaleDateString(undefined, { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' });
/** A day without a time, `2026-12-02`, in short. */
export const shortDay = (day: string): string =>
  new Date(`${day}T12:00:00`).toLocaleDateString(undefined, { day: 'numeric', month: 'short', year: 'numeric' });
/** Today where this browser is, `2026-12-01`. */
export const today = (): string => new Date().toLocaleDateString('sv-SE');
