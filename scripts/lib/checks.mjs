import { prepareTypes } from './build.mjs'
import { ROOT } from './paths.mjs'
import { run } from './run.mjs'

const npx = (...args) => run('npx', args, { cwd: ROOT })

/** Writes what lint and types read of the framework; goes before both. */
export const prepare = { name: 'prepare', run: prepareTypes }

const KEPT = ['--cache', '--cache-strategy', 'content', '--cache-location', 'node_modules/.cache/eslint/']

/** What needs neither database nor browser: lint, the fence between the rooms, types. */
export const checks = [
  // No rule looks past its file, so a file that is as it was need not be read again.
  { name: 'lint', run: () => npx('eslint', '.', '--max-warnings', '0', ...KEPT) },
  {
    name: 'fence',
    run: () => npx('depcruise', '--config', 'tests/fence/fence.cjs', 'core', 'shared', 'server', 'app', 'scripts'),
  },
  { name: 'floors', run: () => npx('depcruise', '--config', 'tests/fence/floors.cjs', 'core', 'shared', 'server', 'app') },
  { name: 'types', run: () => npx('vue-tsc', '-b', '--noEmit') },
  { name: 'types of core', run: () => npx('tsc', '-p', 'core') },
  { name: 'types of scripts', run: () => npx('tsc', '-p', 'scripts') },
]
