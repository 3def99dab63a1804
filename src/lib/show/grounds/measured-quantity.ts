import type { Measured } from '$core/trace/belief';

/** In which quantity each kind of measurement is typed. */
export const MEASURED_QUANTITY = { volts: 'voltage', clamp: 'current', level: 'level' } as const satisfies Record<
  Measured['kind'],
  string
>;
