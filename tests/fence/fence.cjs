// Which room may import from which. Every rule is tried with a planted breach in fence.test.ts.
const no = (name, from, to) => ({ name, severity: 'error', from: { path: from }, to: { path: to } })
const FLOORS = require('./service-floors.cjs')
/** What a folder of services may not see: its neighbours, and all above. */
const unseen = (name, n) => FLOORS.slice(n).flat().filter(other => other !== name)
const pkg = (...names) => `(^|node_modules/)(${names.join('|')})(/|$)`
module.exports = {
  forbidden: [
    {
      name: 'core-imports-only-core',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$|^core/fixtures/' },
      to: { pathNot: `^core/|${pkg('temporal-polyfill', 'temporal-spec')}` },
    },
    {
      name: 'core-tests-stay-headless',
      severity: 'error',
      from: { path: '^core/.*\\.test\\.ts$' },
      to: { pathNot: `^core/|${pkg('vitest', 'fast-check', 'crypto')}` },
    },
    no('contracts-stay-shared', '^shared/', `^(app|server)/|${pkg('vue', 'pinia', 'h3', 'sequelize')}`),
    no('browser-never-server', '^app/', `^server/|${pkg('sequelize')}`),
    no('server-never-browser', '^server/', '^app/'),
    no('routes-are-thin', '^server/api/', `^server/db/|${pkg('sequelize')}`),
    no('services-know-no-http', '^server/(services|db)/', `^server/(api|http)/|${pkg('h3', 'nitropack')}`),
    no('migrations-are-frozen', '^server/db/migrations/', '^(core|shared|app|server/(services|db/tables))/'),
    no('workers-are-headless', '^app/workers/', `^app/(stores|pages|components)/|${pkg('vue', 'pinia', 'vuetify')}`),
    {
      name: 'services-use-repositories',
      severity: 'error',
      from: { path: '^server/services/' },
      to: { path: pkg('sequelize') },
    },
    {
      name: 'workplaces-are-apart',
      severity: 'error',
      from: { path: '^app/components/([^/]+)/' },
      to: { path: '^app/components/', pathNot: '^app/components/($1|common|beam|twine|steps|plans)/' },
    },
    ...FLOORS.flatMap((names, n) =>
      names
        .filter(name => unseen(name, n).length > 0)
        .map(name => ({
          name: `services-look-down-from-${name}`,
          severity: 'error',
          from: { path: `^server/services/${name}/`, pathNot: '\\.test\\.ts$' },
          to: { path: `^server/services/(${unseen(name, n).join('|')})/` },
        }))),
    // Commands begin before packages are installed: what they import statically, directly or through each other, is theirs or Node's.
    {
      name: 'commands-start-bare',
      severity: 'error',
      from: { path: '^scripts/', pathNot: '\\.test\\.ts$' },
      to: { pathNot: '^scripts/', dependencyTypesNot: ['core'], dynamic: false },
    },
    {
      name: 'no-unresolvable',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '^(#imports|#components)$' },
    },
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
  ],
  options: {
    tsPreCompilationDeps: true, tsConfig: { fileName: 'tsconfig.fence.json' }, doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.css$' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'require', 'node', 'default', 'types'] },
  },
}
