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

/** Rooms of the server, each importing those above it in this list only. */
const serverRooms = [
  'platform',
  'workers',
  'records',
  'http',
  'features/sources',
  'features/briefs',
  'features/library',
  'features/trials',
  'features/strings',
  'features/comparing',
  'features/harvest',
  'features/manual',
  'features/shortlist',
  'features/watches',
  'features/imports',
  'features/exchange',
  'features/operations',
  'demo',
  'app'
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
    {
      name: 'no-folder-cycle',
      comment: 'Folders that import each other are one folder in two places.',
      severity: 'error',
      scope: 'folder',
      from: { path: '^src/' },
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
    },
    ...serverRooms.map((room, level) => ({
      name: `server-${room.replace('/', '-')}`,
      comment: `${room} imports rooms of the server below it only.`,
      severity: 'error',
      from: { path: `^src/server/${room}/` },
      to: { path: '^src/server/', pathNot: `^src/server/(${serverRooms.slice(0, level + 1).join('|')})/` }
    })),
    {
      name: 'server-rooms',
      comment: 'Every file of the server is in one of its rooms.',
      severity: 'error',
      from: { path: '^src/server/', pathNot: `^src/server/(${serverRooms.join('|')}|testing)/` },
      to: {}
    },
    {
      name: 'server-demo',
      comment: 'Without src/server/demo, and its lines in app/, Eave works as before.',
      severity: 'error',
      from: { path: '^src/', pathNot: '^src/server/(demo|app)/' },
      to: { path: '^src/server/demo/' }
    }
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '[.]test[.]ts$' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.directions.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types']
    }
  }
};
