import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { checkDump } from './dump.mjs'
import { run } from './run.mjs'
import { readOptions } from './serve.mjs'
import { readSummary } from './summary.mjs'

let folder: string
const put = (name: string, content: string | Buffer) => {
  const path = join(folder, name)
  writeFileSync(path, content)
  return path
}
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'veldmoor-files-'))
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

describe('a back-up is looked at before anything is touched', () => {
  const WHOLE = `${'INSERT INTO lots VALUES (1);\n'.repeat(2000)}-- Dump completed on 2026-11-23 22:00:00\n`
  it('a whole one passes', async () => expect(await checkDump(put('whole', gzipSync(WHOLE)))).toBeUndefined())
  it.each([
    ['one without its end', () => gzipSync(WHOLE.slice(0, -60)), 'its end is missing'],
    ['one that was cut short on its way', () => gzipSync(WHOLE).subarray(0, 100), 'cannot be read as a back-up'],
    ['something else', () => 'a letter to the bank', 'cannot be read as a back-up'],
    ['nothing', () => '', 'back-up'],
  ])('%s is refused, and says that nothing was changed', async (_what, content, words) => {
    const refusal = await checkDump(put('half', content())).then(
      () => 'taken',
      (error: Error) => error.message,
    )
    expect(refusal).toContain(words)
    expect(refusal).toContain('Nothing was changed.')
  })
  it('so is one that is not there', async () =>
    await expect(checkDump(join(folder, 'nowhere'))).rejects.toThrow('Nothing was changed.'))
})

describe('a test report', () => {
  const counts = (more: object) =>
    readSummary(
      put(
        'report.json',
        JSON.stringify({ numPassedTests: 5, numFailedTests: 0, numPendingTests: 0, numFailedTestSuites: 0, testResults: [], ...more }),
      ),
    )
  it('counts what passed and what did not', () => {
    expect(counts({})).toEqual({ passed: 5, failed: 0, failures: [] })
    expect(counts({ numFailedTests: 2 })).toMatchObject({ passed: 5, failed: 2 })
  })
  it('a skipped test and a file that did not load are failures', () => {
    expect(counts({ numPendingTests: 1 }).failed).toBe(1)
    expect(counts({ numFailedTestSuites: 1 }).failed).toBe(1)
  })
  it('each that failed or was left out is named, and why', () => {
    const tests = [
      { status: 'passed', fullName: 'good' },
      { status: 'failed', fullName: 'bad', failureMessages: [`not so${'.'.repeat(999)}`] },
      { status: 'skipped', fullName: 'left out', failureMessages: [] },
    ]
    const { failures } = counts({ testResults: [{ name: 'a.test.ts', assertionResults: tests }] })
    expect(failures.map(words => words.slice(0, 24))).toEqual(['a.test.ts: bad: not so..', 'a.test.ts: left out: ski'])
    expect(Math.max(...failures.map(words => words.length))).toBeLessThan(300)
  })
  it('one that was never written passed nothing', () =>
    expect(readSummary(join(folder, 'none.json'))).toEqual({ passed: 0, failed: 0, failures: [] }))
})

describe('commands', () => {
  it('give what they print, or fail with it', async () => {
    expect(await run(process.execPath, ['-p', '6 * 7'])).toBe('42\n')
    await expect(run(process.execPath, ['-e', 'console.error("no salt"); process.exit(3)'])).rejects.toThrow(
      /ended with 3\nno salt/,
    )
    await expect(
      run(process.execPath, ['-e', 'process.kill(process.pid, "SIGTERM"); setTimeout(() => {}, 9000)']),
    ).rejects.toThrow('ended with SIGTERM')
    await expect(run('veldmoor-no-such-program', [])).rejects.toThrow('ENOENT')
  })
  it('the port by option, by environment, or the usual one', () => {
    expect(readOptions([], {})).toEqual({ port: 4750, fresh: false })
    expect(readOptions([], { PORT: '8080' }).port).toBe(8080)
    expect(readOptions(['--fresh', '--port', '9000'], { PORT: '8080' })).toEqual({ port: 9000, fresh: true })
    for (const port of ['0', '65536', 'many', '80.5'])
      expect(() => readOptions(['--port', port], {})).toThrow('a number from 1 to 65535')
    expect(() => readOptions(['--port'], {})).toThrow('a number from 1 to 65535')
  })
})
