// The small form of the checker, whose parts that nobody uses are left out of what a browser loads; with its messages in English, which that form leaves out.
import { config } from 'zod/mini';
import en from 'zod/v4/locales/en.js';

config(en());

export * from 'zod/mini';
