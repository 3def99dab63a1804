const SYSTEMS: readonly [RegExp, string][] = [
  [/iPhone/, 'iPhone'],
  [/iPad/, 'iPad'],
  [/Android.*Mobile/, 'Android phone'],
  [/Android/, 'Android tablet'],
  [/Windows/, 'Windows'],
  [/Mac OS/, 'Mac'],
  [/Linux|X11/, 'Linux']
];
const BROWSERS: readonly [RegExp, string][] = [
  [/Edg/, 'Edge'],
  [/Firefox|FxiOS/, 'Firefox'],
  [/Chrome|Chromium|CriOS/, 'Chrome'],
  [/Safari/, 'Safari']
];

/** A device in words, out of what its browser says of itself. Good enough to tell one's own apart, and nothing hangs on it. */
export function deviceName(agent: string | null): string {
  const of = (list: readonly [RegExp, string][]): string | undefined => list.find(([is]) => is.test(agent ?? ''))?.[1];
  const [system, browser] = [of(SYSTEMS), of(BROWSERS)];
  return [system, browser].filter(Boolean).join(', ') || 'A device';
}
