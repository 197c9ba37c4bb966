import type { z } from 'zod'
import type { packListQuery, PackLine } from '#shared/contracts/thread'
import type { Tables } from '../../db/database'
import { refuse, type Answer } from '../context'

/** The packs of a lot that one customer has, or that nobody has yet. */
export async function packList(
  tables: Tables,
  { lot: code, party }: z.output<typeof packListQuery>,
): Promise<Answer<PackLine[]>> {
  const [lot] = await tables.lots.pick([], { code })
  if (!lot) return refuse('no_such_lot', { code })
  const lotId = lot.id
  const columns = ['code', 'netG', 'packedOn', 'dispatchId'] as const
  const order = { order: [['id', 'ASC']] } as const
  const packs = await tables.packs.pick(columns, party === undefined ? { lotId, dispatchId: null } : { lotId }, order)
  const theirs
    = party === undefined
      ? null
      : new Set(
          (
            await tables.dispatches.pick([], { customerId: party, id: packs.flatMap(pack => pack.dispatchId ?? []) })
          ).map(dispatch => dispatch.id),
        )
  const shown = theirs === null ? packs : packs.filter(pack => pack.dispatchId !== null && theirs.has(pack.dispatchId))
  return { ok: true, value: shown.map(pack => ({ code: pack.code, netG: pack.netG, packedOn: pack.packedOn })) }
}
