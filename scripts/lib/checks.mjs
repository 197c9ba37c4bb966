import { prepareTypes } from './build.mjs'
import { ROOT } from './paths.mjs'
import { run } from './run.mjs'

const npx = (...args) => run('npx', args, { cwd: ROOT })

const KEPT = ['--cache', '--cache-strategy', 'content', '--cache-location', 'node_modules/.cache/eslint/']

const PREPARE = 'prepare'
const types = (name, tool, project) => ({ name, after: [PREPARE], run: () => npx(tool, '-p', project, '--noEmit') })

/** What needs neither database nor browser: types, lint, the fence between the rooms; the longest first. */
export const checks = [
  // Writes what lint and types read of the framework.
  { name: PREPARE, run: prepareTypes },
  types('types of the app', 'vue-tsc', '.nuxt/tsconfig.app.json'),
  // No rule looks past its file, so a file that is as it was need not be read again.
  { name: 'lint', after: [PREPARE], run: () => npx('eslint', '.', '--max-warnings', '0', ...KEPT) },
  // The server, what is shared and the settings in one program: most of each is the others' too.
  types('types of the server', 'tsc', 'tsconfig.server.json'),
  {
    name: 'fence',
    run: () => npx('depcruise', '--config', 'tests/fence/fence.cjs', 'core', 'shared', 'server', 'app', 'scripts'),
  },
  { name: 'floors', run: () => npx('depcruise', '--config', 'tests/fence/floors.cjs', 'core', 'shared', 'server', 'app') },
  types('types of the core', 'tsc', 'core'),
  types('types of the scripts', 'tsc', 'scripts'),
]
