import { existsSync, readFileSync } from 'node:fs'

/**
 * Counts of a test report; none when the run ended before it was written. A skipped test counts as failed: there are to
 * be none.
 */
export function readSummary(path) {
  if (!existsSync(path)) return { passed: 0, failed: 0 }
  const { numPassedTests, numFailedTests, numPendingTests, numFailedTestSuites } = JSON.parse(
    readFileSync(path, 'utf8'),
  )
  return {
    passed: numPassedTests,
    failed: Math.max(numFailedTests + numPendingTests, numFailedTests === 0 && numFailedTestSuites > 0 ? 1 : 0),
  }
}
