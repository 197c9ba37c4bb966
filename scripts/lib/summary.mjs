import { existsSync, readFileSync } from 'node:fs'

const REASON_SHOWN = 200

/**
 * Counts of a test report, and each failure in a line; none when the run ended before it was written. A skipped test
 * counts as failed: there are to be none.
 *
 * @param {string} path
 * @returns {{ passed: number, failed: number, failures: string[] }}
 */
export function readSummary(path) {
  if (!existsSync(path)) return { passed: 0, failed: 0, failures: [] }
  const { numPassedTests, numFailedTests, numPendingTests, numFailedTestSuites, testResults } = JSON.parse(
    readFileSync(path, 'utf8'),
  )
  return {
    failures: testResults.flatMap(file =>
      file.assertionResults
        .filter(test => test.status !== 'passed')
        .map(test => `${file.name}: ${test.fullName}: ${(test.failureMessages?.[0] ?? test.status).slice(0, REASON_SHOWN)}`),
    ),
    passed: numPassedTests,
    failed: Math.max(numFailedTests + numPendingTests, numFailedTests === 0 && numFailedTestSuites > 0 ? 1 : 0),
  }
}
