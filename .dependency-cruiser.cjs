/** What imports what, type-only imports included (docs/architecture.md). */
const rooms = [
  'language',
  'people',
  'titles',
  'semantics',
  'corpus',
  'dialect',
  'measure',
  'persona',
  'suggest',
  'harvest',
  'changes',
  'shortlist',
  'formats',
  'lint'
];

module.exports = {
  forbidden: [
    {
      name: 'no-cycle',
      comment: 'Files that import each other cannot be understood one by one.',
      severity: 'error',
      from: {},
      to: { circular: true }
    },
    ...rooms.map((room, level) => ({
      name: `core-${room}`,
      comment: `${room} imports rooms of the core below it only.`,
      severity: 'error',
      from: { path: `^src/core/${room}/`, pathNot: '[.]test[.]ts$' },
      to: { path: '^src/core/', pathNot: `^src/core/(${rooms.slice(0, level + 1).join('|')})/` }
    })),
    {
      name: 'core-rooms',
      comment: 'Every room of the core has its layer.',
      severity: 'error',
      from: { path: '^src/core/', pathNot: `^src/core/(${rooms.join('|')})/` },
      to: {}
    }
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '[.]test[.]ts$' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types']
    }
  }
};
