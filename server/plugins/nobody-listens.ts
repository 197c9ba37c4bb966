/**
 * Whoever read what is printed is gone, a terminal or the start command: what is printed then is lost, and nothing with
 * it. Without this each line that cannot be written is told in a line that cannot be written, for ever.
 */
export default () => {
  for (const stream of [process.stdout, process.stderr])
    stream.on('error', (error: NodeJS.ErrnoException) => {
      if (error.code !== 'EPIPE') throw error
    })
}
