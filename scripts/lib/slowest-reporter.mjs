import { writeFileSync } from 'node:fs'
import { relative } from 'node:path'
import { ROOT } from './paths.mjs'

/** How long each file of tests took, with what it opens and closes, ms: to the file that SLOWEST names. */
export default class SlowestReporter {
  onTestRunEnd(modules) {
    const files = modules.map((module) => {
      const { duration, collectDuration, setupDuration, prepareDuration } = module.diagnostic()
      return { file: relative(ROOT, module.moduleId), ms: Math.round(duration + collectDuration + setupDuration + prepareDuration) }
    })
    writeFileSync(process.env.SLOWEST, JSON.stringify(files))
  }
}
