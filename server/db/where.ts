import { Op } from 'sequelize'

/** From a moment on: `{ atMs: { [since]: new Date(fromMs) } }`. */
export const since = Op.gte
/** Smaller than: `{ id: { [below]: 40 } }`. */
export const below = Op.lt
