import { send, type Reply } from './client'
import { useSession } from '~/stores/session'
import { useSigning } from '~/stores/signing'

/** Sends a record; where the tablet is shared and nobody has signed yet, asks for a PIN and sends it again under the same key. */
export async function sendSigned<T>(method: 'POST' | 'PUT', path: string, body: unknown, key: string): Promise<Reply<T>> {
  const reply = await send<T>(method, path, body, key)
  if (reply.ok || reply.problem.code !== 'pin_needed') return reply
  if (!await useSigning().ask()) return reply
  const signed = await send<T>(method, path, body, key)
  await useSession().load()
  return signed
}
