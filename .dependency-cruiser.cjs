// Folders of the core in the order of the pipeline: each may use those before it, none those after it.
const ORDER = [
  'text',
  'units',
  'solver',
  'gear',
  'kit',
  'plan',
  'rig',
  'judge',
  'advise',
  'linecheck',
  'trace',
  'sound',
  'hear',
  'measure',
  'reader',
  'casebook',
  'lessons',
  'log',
  'venue',
  'players',
  'words',
  'paper'
];

const upward = ORDER.map((folder, k) => ({
  name: `core-${folder}-looks-down`,
  severity: 'error',
  from: { path: `^core/${folder}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^core/(${ORDER.slice(k + 1).join('|') || 'none'})/` }
}));

module.exports = {
  forbidden: [
    ...upward,
    {
      name: 'core-is-pure',
      comment: 'The core knows no interface, no Node, no database; of packages only what is named here.',
      severity: 'error',
      from: { path: '^core/', pathNot: '(\\.test\\.ts$|^core/tests/)' },
      to: { pathNot: '^(core/(?!tests/)|node_modules/(zod|fastest-levenshtein|fft.js|ml-matrix|papaparse)/)' }
    },
    {
      name: 'test-helpers-stay-in-tests',
      severity: 'error',
      from: { pathNot: '(\\.test\\.ts$|^core/tests/|^bench/|^e2e/|^scripts/fuzz/)' },
      to: { path: '^core/tests/' }
    },
    {
      name: 'server-stays-on-server',
      severity: 'error',
      from: { path: '^src/lib/(ui|show|protocol|outbox|live|kit|crew)/', pathNot: '(\\.test|/test-net)\\.ts$' },
      to: { path: '^src/lib/server/' }
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } }
    }
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^\\.svelte-kit/|\\$types|^build/)' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.depcruise.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['svelte', 'import', 'node', 'default', 'types']
    }
  }
};
