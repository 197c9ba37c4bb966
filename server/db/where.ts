import { Op } from 'sequelize'

/** From a moment on: `{ atMs: { [since]: new Date(fromMs) } }`. */
export const since = Op.gte
/** Smaller than: `{ id: { [below]: 40 } }`. */
export const below = Op.lt
/** From one moment to another, both included: `{ atMs: { [between]: [from, to] } }`. */
export const between = Op.between
/** Anything else than: `{ kind: { [but]: 'count' } }`. */
export const but = Op.ne
/** Begins with a text, in which `%` and `_` stand for any others: `{ code: { [startsWith]: 'L-00' } }`. */
export const startsWith = Op.startsWith
/** Filled in: `{ coreC: { [present]: null } }`. */
export const present = Op.not
