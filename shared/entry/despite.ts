import { reason } from './fields'

/** Why it is recorded though the shop asked back; null: nobody was asked. */
export const despite = () => reason().nullable().default(null)
