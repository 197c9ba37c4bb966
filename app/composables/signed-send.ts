import { CLOCK_SEEN } from '#shared/contracts/clock'
import { send, type Reply } from '../api/client'
import { useClockQuestion } from '~/stores/clock-question'
import { usePasswordQuestion } from '~/stores/password-question'
import { useSession } from '~/stores/session'
import { useSigning } from '~/stores/signing'

const CLOCK_CODES = ['clock_ahead', 'clock_off_database']

/**
 * Sends a record. Where the tablet is shared and nobody has signed yet it asks for a PIN, where the clock is in doubt
 * it asks whether it is right, where it needs the password again it asks for that, and sends it again under the same
 * key.
 */
export async function sendSigned<T>(
  method: 'POST' | 'PUT',
  path: string,
  body: unknown,
  key: string,
): Promise<Reply<T>> {
  const clock = useClockQuestion()
  const once = () => send<T>(method, path, body, key, clock.seenDay === null ? {} : { [CLOCK_SEEN]: clock.seenDay })
  let reply = await once()
  if (!reply.ok && reply.problem.code === 'pin_needed') {
    if (!(await useSigning().ask())) return reply
    reply = await once()
    await useSession().load()
  }
  if (!reply.ok && reply.problem.code === 'password_again' && (await usePasswordQuestion().ask())) reply = await once()
  if (!reply.ok && CLOCK_CODES.includes(reply.problem.code) && (await clock.ask(reply.problem))) reply = await once()
  return reply
}
