import { z } from 'zod'
import { reason } from './fields'

export const voidInput = z.strictObject({ reason: reason() })
