/** A year, seconds. */
const YEAR = 31_536_000;

/** Keeps what somebody has chosen for this browser, where the server reads it with the next page. */
export const keepSetting = (name: string, value: string): void => {
  document.cookie = `${name}=${value}; path=/; max-age=${YEAR}; samesite=lax`;
};
