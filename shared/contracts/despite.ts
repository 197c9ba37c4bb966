import { reason } from './fields'

/** Why it is done though it goes against its plan; null: nobody was asked. */
export const despite = () => reason().nullable().default(null)
