import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, expect, it } from 'vitest'
import { readSummary } from './summary.mjs'

const folder = mkdtempSync(join(tmpdir(), 'veldmoor-summary-'))
afterAll(() => rmSync(folder, { recursive: true }))
const report = (tests: { status: string; fullName: string; failureMessages?: string[] }[]) => {
  const path = join(folder, 'report.json')
  const count = (status: string) => tests.filter(test => test.status === status).length
  writeFileSync(path, JSON.stringify({
    numPassedTests: count('passed'),
    numFailedTests: count('failed'),
    numPendingTests: count('skipped'),
    numFailedTestSuites: count('failed') ? 1 : 0,
    testResults: [{ name: 'a.test.ts', assertionResults: tests }],
  }))
  return readSummary(path)
}

it('names each test that failed or was left out, and why', () => {
  const found = report([
    { status: 'passed', fullName: 'good' },
    { status: 'failed', fullName: 'bad', failureMessages: [`not so${'.'.repeat(999)}`] },
    { status: 'skipped', fullName: 'left out', failureMessages: [] },
  ])
  expect(found).toMatchObject({ passed: 1, failed: 2 })
  expect(found.failures.map(words => words.slice(0, 24))).toEqual(['a.test.ts: bad: not so..', 'a.test.ts: left out: ski'])
  expect(Math.max(...found.failures.map(words => words.length))).toBeLessThan(300)
})
it('counts a run that wrote no report as nothing', () =>
  expect(readSummary(join(folder, 'none.json'))).toEqual({ passed: 0, failed: 0, failures: [] }))
