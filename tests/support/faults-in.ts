import type { z } from 'zod'
import { faultsOf } from '#shared/faults/issues'

/** What a contract refuses in a message, as "path:code"; empty when it takes it. */
export const faultsIn = (contract: z.ZodType, message: unknown): string[] => {
  const parsed = contract.safeParse(message)
  return parsed.success ? [] : faultsOf(parsed.error).map(fault => `${fault.path.join('.')}:${fault.code}`)
}
