import type { Severity } from '$core/judge/types';

/** A mark's shape in a 16 × 16 box: shape and colour both carry the status. */
export const MARKS: Readonly<Record<Severity, { path: string; fill: boolean; colour: string }>> = {
  clean: { path: 'M6.2 13 9.8 3', fill: false, colour: 'var(--clean)' },
  note: { path: 'M12.3 8a4.3 4.3 0 1 1-8.6 0 4.3 4.3 0 0 1 8.6 0Z', fill: false, colour: 'var(--color-info)' },
  care: { path: 'M2.4 3.4h11.2L8 13.4Z', fill: true, colour: 'var(--color-warning)' },
  stop: { path: 'm3.6 3.6 8.8 8.8m0-8.8-8.8 8.8', fill: false, colour: 'var(--color-error)' },
  danger: {
    path: 'M3.5 1h9A1.5 1.5 0 0 1 14 2.5v11a1.5 1.5 0 0 1-1.5 1.5h-9A1.5 1.5 0 0 1 2 13.5v-11A1.5 1.5 0 0 1 3.5 1ZM7 3.6h2v5.2H7Zm0 6.8h2v2H7Z',
    fill: true,
    colour: 'var(--danger)'
  }
};

/** Class for text in the severity's colour; clean text stays quiet. */
export const SEVERITY_TEXT: Readonly<Record<Severity, string>> = {
  clean: 'text-quiet',
  note: 'text-info',
  care: 'text-warning',
  stop: 'text-error',
  danger: 'text-danger'
};
