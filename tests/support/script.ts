import { spawn } from 'node:child_process'
import { join, resolve } from 'node:path'

const ROOT = resolve(import.meta.dirname, '../..')

/** Runs one of the project's commands to its end. */
export function runScript(
  name: string,
  args: string[],
  env: Record<string, string>,
): Promise<{ code: number | null; output: string }> {
  return new Promise((done) => {
    const child = spawn(process.execPath, [join(ROOT, 'scripts', `${name}.mjs`), ...args], {
      env: { ...process.env, ...env },
    })
    let output = ''
    child.stdout.on('data', chunk => (output += chunk))
    child.stderr.on('data', chunk => (output += chunk))
    child.on('exit', code => done({ code, output }))
  })
}
