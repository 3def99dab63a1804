import fc from 'fast-check';

// The same random cases every time, so that a failure is of the change that is tested; `FC_SEED=any` draws new ones.
const given = (globalThis as { process?: { env: Record<string, string | undefined> } }).process?.env.FC_SEED;
if (given !== 'any') fc.configureGlobal({ seed: Number(given) || 20_261_125 });
