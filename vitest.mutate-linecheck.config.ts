import base from './vitest.config';
export default { ...base, test: { ...base.test, include: ["core/linecheck/*.test.ts","core/judge/limits.test.ts","src/lib/show/check/*.test.ts"] } };
