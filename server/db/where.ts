import { Op } from 'sequelize'

/** From a moment on: `{ atMs: { [since]: new Date(fromMs) } }`. */
export const since = Op.gte
