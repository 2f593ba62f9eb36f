/* Dependencies point one way: app, server, cli → schemas → words → core → a few small pure libraries. Inside the core they point from what uses to what is used, as docs/architecture.md draws it. */
/** From the lowest to the highest; folders of one line do not know each other. */
const LAYERS = [
  'units|policies|findings|statistics|planning|floor|drawing',
  'regulations',
  'installation',
  'design',
  'exercise',
  'bay',
  'testing|isolation|inspection|containment|survey|arrangement',
  'questions',
  'assessment',
]
const PURE_LIBRARIES = ['d3-path', 'd3-random', 'ts-fsrs']
const only = (name, from, to, comment) => ({
  name,
  severity: 'error',
  comment,
  from: { path: from },
  to: { path: to },
})

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    only(
      'core-imports-core',
      '^core/',
      '^(app|server|cli|schemas|words|demo|test|scripts)/',
      'The core knows nothing of those who use it.',
    ),
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^core/' },
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'core'],
        pathNot: PURE_LIBRARIES.map((name) => `node_modules/${name}/`),
      },
    },
    only('schemas-below', '^schemas/', '^(app|server|cli|demo|test)/', 'Schemas serve everybody above them.'),
    only('server-not-app', '^server/', '^(app|cli|demo|test)/', 'The server does not know its screens.'),
    only(
      'app-not-server',
      '^app/',
      '^(server|cli|demo|test)/',
      'Screens meet the server over the API and schemas/views.ts.',
    ),
    only(
      'repos-are-low',
      '^server/repos/',
      '^server/(services|http|api)/',
      'Repositories hold SQL, not use-cases.',
    ),
    only(
      'services-are-plain',
      '^server/services/',
      '^server/(http|api)/|node_modules/(h3|nitropack|nuxt)/',
      'Use-cases run without a web server.',
    ),
    {
      name: 'sql-in-its-place',
      severity: 'error',
      from: { path: '^(app|core|schemas|server/(services|api))/' },
      to: { path: 'better-sqlite3' },
    },
    only(
      'routes-through-services',
      '^server/api/',
      '^server/(repos|db)/',
      'A route translates; it does not query.',
    ),

    only(
      'words-above-core',
      '^words/',
      '^(app|server|cli|schemas|demo|test)/',
      'Words are made from what the core returns.',
    ),
    { name: 'no-mutual-folders', severity: 'error', scope: 'folder', from: {}, to: { circular: true } },
    ...LAYERS.map((_, i) => ({
      name: `core-layers-${LAYERS[i]}`,
      severity: 'error',
      comment: 'Lower layers of the core know nothing of the higher ones.',
      from: { path: `^core/(${LAYERS[i]})/` },
      to: { path: `^core/(${LAYERS.slice(i + 1).join('|') || '-'})/` },
    })),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.paths.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'node', 'default', 'types'],
      extensions: ['.ts', '.vue', '.js', '.mjs', '.json'],
    },
    exclude: { path: '\\.nuxt|\\.output' },
  },
}
