import { z } from 'zod'

/** The instrument that took a reading; null when nobody said. */
export const instrumentId = () => z.number().int().positive().nullable().default(null)
