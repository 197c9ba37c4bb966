import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

export default defineConfig({
  resolve: { alias: { '#core': here('./core'), '#shared': here('./shared'), '~': here('./app') } },
  test: {
    projects: [
      {
        extends: true,
        test: {
          name: 'unit',
          benchmark: { include: ['tests/speed/**/*.bench.ts'] },
          include: [
            'core/**/*.test.ts',
            'shared/**/*.test.ts',
            'server/**/*.test.ts',
            'app/**/*.test.ts',
            'scripts/**/*.test.ts',
            'tests/fence/**/*.test.ts',
            'tests/support/**/*.test.ts',
          ],
          // One load of the modules for all of a thread's files: none of them keeps anything.
          pool: 'threads',
          isolate: false,
          testTimeout: 60_000,
          hookTimeout: 120_000,
        },
      },
      {
        extends: true,
        test: {
          name: 'integration',
          include: ['tests/integration/**/*.test.ts'],
          testTimeout: 240_000,
          hookTimeout: 120_000,
          maxWorkers: 2,
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          name: 'browser',
          include: ['tests/browser/**/*.test.ts'],
          testTimeout: 240_000,
          hookTimeout: 120_000,
          maxWorkers: 2,
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          name: 'install',
          include: ['tests/install/**/*.test.ts'],
          testTimeout: 240_000,
          hookTimeout: 120_000,
          // Each has servers and a folder of its own.
          maxWorkers: 2,
        },
      },
    ],
  },
})
