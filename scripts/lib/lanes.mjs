/** A promise with what settles it; the language has its own from Node.js 22 on. */
function turn() {
  let resolve = () => {}
  const promise = new Promise((settle) => {
    resolve = () => settle(undefined)
  })
  return { promise, resolve }
}

/**
 * Does jobs beside each other, so many at a time: a lane that is free takes the first job whose `after`, names of other
 * jobs, are all done. The first fault ends what is waiting, and is thrown when the lanes are empty.
 *
 * @param {number} lanes
 * @param {{ name: string, after?: string[], run: () => Promise<unknown> }[]} jobs
 */
export async function onLanes(lanes, jobs) {
  const named = new Set(jobs.map(job => job.name))
  for (const name of jobs.flatMap(job => job.after ?? [])) if (!named.has(name)) throw new Error(`no job is called ${name}`)
  const [waiting, done] = [[...jobs], new Set()]
  let changed = turn()
  const tell = () => {
    changed.resolve()
    changed = turn()
  }
  const lane = async () => {
    while (waiting.length > 0) {
      const next = waiting.findIndex(job => (job.after ?? []).every(name => done.has(name)))
      if (next < 0) {
        await changed.promise
        continue
      }
      const [job] = waiting.splice(next, 1)
      try {
        await job.run()
        done.add(job.name)
      }
      catch (error) {
        waiting.length = 0
        throw error
      }
      finally {
        tell()
      }
    }
  }
  const ended = await Promise.allSettled(Array.from({ length: lanes }, lane))
  for (const one of ended) if (one.status === 'rejected') throw one.reason
}
