import { z } from 'zod'
import { reason } from '../entry/fields'

export const voidInput = z.strictObject({ reason: reason() })
