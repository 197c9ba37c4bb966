import { work } from './tasks'

/** The other end of the pool: bundled by itself, see `nuxt.config.ts`. */
export default work
