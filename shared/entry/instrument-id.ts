import { z } from 'zod'

/** Which instrument took a reading; null when nobody said. */
export const instrumentId = () => z.number().int().positive().nullable().default(null)
