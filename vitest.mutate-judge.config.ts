import base from './vitest.config';
export default { ...base, test: { ...base.test, include: ["core/judge/{across,judge,limits,verdicts}.test.ts"], testNamePattern: /^(?!.*(?:what a remedy promises|every line has a report))/ } };
