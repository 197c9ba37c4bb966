import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const ROOT = dirname(dirname(dirname(fileURLToPath(import.meta.url))))
/** Where the private database and its secrets lie. */
export const stateFolder = () => process.env.VELDMOOR_FOLDER ?? join(ROOT, '.veldmoor')

export const at = (...parts) => join(ROOT, ...parts)
