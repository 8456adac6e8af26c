/** Who may import whom: see docs/architecture.md. */
const forbid = (name, from, to, comment) => ({ name, comment, severity: 'error', from, to });

module.exports = {
  forbidden: [
    forbid(
      'core-alone',
      { path: '^core/' },
      { path: '^(server|app|standins|cli|tests|scripts)/' },
      'The core imports nothing of the other folders.',
    ),
    forbid(
      'core-no-interface',
      { path: '^core/', pathNot: '\\.test\\.ts$' },
      {
        path: 'node_modules/(react|react-dom|react-router|@mui|@emotion|drizzle-orm|postgres|pg-boss|hono)/',
      },
      'The core knows no interface, database or HTTP.',
    ),
    forbid(
      'core-node-apart',
      { path: '^core/', pathNot: '(^core/export/|from-disk\\.ts$|\\.(test|sample)\\.ts$)' },
      { dependencyTypes: ['core'] },
      'Only writers of files and the reader of faces touch Node.',
    ),
    forbid(
      'app-through-server',
      { path: '^app/' },
      { path: '(^server/db/|node_modules/(drizzle-orm|postgres|pg-boss)/)' },
      'The application reaches the database only through server.',
    ),
    forbid(
      'app-no-standins',
      { path: '^(app|server|cli)/' },
      { path: '^standins/' },
      'Nobody knows how the stand-ins work inside.',
    ),
    forbid('server-no-app', { path: '^server/' }, { path: '^(app|cli)/' }, 'The server knows no interface.'),
    forbid(
      'standins-own-code',
      { path: '^standins/', pathNot: '(pictures|\\.test)\\.ts$' },
      { path: '^(core|server|app|cli)/', pathNot: '^core/print/services/.*\\.json$' },
      'A strict reviewer shares the published rules and no code; only the shop’s pictures are drawn by the core.',
    ),
    forbid(
      'standins-pictures-by-core',
      { path: '^standins/.*pictures\\.ts$' },
      { path: '^(server|app|cli)/' },
      'Pictures of books are drawn by the core alone.',
    ),
    forbid(
      'cli-no-server',
      { path: '^cli/' },
      { path: '^(server|app)/' },
      'A book is made without a server.',
    ),
    forbid(
      'no-cycles',
      { path: '^(core|server|standins|cli)/' },
      { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
      'No circles, apart from types.',
    ),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'node', 'default', 'types'],
    },
  },
};
