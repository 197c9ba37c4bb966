import { spawn } from 'node:child_process'

/**
 * Runs a command to its end. Shows its output as it comes, or keeps it and shows it only on failure. `input` goes to
 * its standard input.
 *
 * @param {string} command
 * @param {readonly string[]} args
 * @param {{ cwd?: string, env?: Record<string, string | undefined>, show?: boolean, input?: string | Buffer | null }} [how]
 * @returns {Promise<string>} what it printed; nothing when it was shown
 */
export function run(command, args, { cwd, env, show = false, input = null } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      cwd,
      env: { ...process.env, ...env },
      stdio: show ? 'inherit' : [input === null ? 'ignore' : 'pipe', 'pipe', 'pipe'],
    })
    // A command that ends before it has read all says why by its own exit.
    child.stdin?.on('error', () => {})
    child.stdin?.end(input)
    let output = ''
    child.stdout?.on('data', chunk => (output += chunk))
    child.stderr?.on('data', chunk => (output += chunk))
    child.on('error', reject)
    child.on('exit', (code, signal) =>
      code === 0
        ? resolve(output)
        : reject(new Error(`${command} ${args.join(' ')} ended with ${signal ?? code}\n${output.slice(-4000)}`)),
    )
  })
}
