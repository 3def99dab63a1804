import { kit as says } from '$core/words/screen/kit';

/** How saving a change of the kit goes. */
export const STATUS = {
  saved: says.saved,
  saving: says.saving,
  retrying: says.notSavedRetrying,
  'signed-out': says.notSavedSignInAgainIn,
  gone: says.notSaved
} as const;
