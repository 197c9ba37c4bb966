const wordsOf = outcome => (typeof outcome === 'string' ? `${outcome}, ` : outcome?.words ? `${outcome.words}, ` : '')

/** Prints one line a step, with its time. */
export async function step(name, work) {
  const startedMs = performance.now()
  const seconds = () => `${((performance.now() - startedMs) / 1000).toFixed(1)} s`
  try {
    const outcome = await work()
    console.log(`  ${name.padEnd(22)} ${wordsOf(outcome)}${seconds()}`)
    return outcome
  }
  catch (error) {
    console.error(`  ${name.padEnd(22)} failed after ${seconds()}`)
    throw error
  }
}

/** A failure that the reader can mend: printed as it is, without a stack. */
export class Advice extends Error {}

/** Runs a command's main, prints advice plainly, and leaves with 1 on any failure. */
export async function main(run) {
  try {
    await run()
  }
  catch (error) {
    console.error(error instanceof Advice ? `\n${error.message}` : error)
    process.exitCode = 1
  }
  // Left to end by itself, Node.js stops listening for signals first: a late Ctrl-C would pass for a crash.
  process.exit()
}
