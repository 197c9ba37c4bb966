import { createJiti } from 'jiti'
import { at } from './paths.mjs'

const jiti = createJiti(import.meta.url, { alias: { '#core': at('core'), '#shared': at('shared') }, interopDefault: true })

/** A module of the server's own TypeScript, for commands that work beside the running application. */
export const importSource = path => jiti.import(at(path))
