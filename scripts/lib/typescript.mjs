import { at } from './paths.mjs'

let loader = null

/** jiti is a package, and commands begin before there are any: it is asked for when the first source is. */
const ready = () =>
  (loader ??= import('jiti').then(({ createJiti }) =>
    createJiti(import.meta.url, { alias: { '#core': at('core'), '#shared': at('shared') }, interopDefault: true }),
  ))

/**
 * A module of the server's own TypeScript, for commands that work beside the running application. Packages must be
 * there.
 */
export const importSource = async path => (await ready()).import(at(path))
