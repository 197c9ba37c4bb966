import type { Milliseconds } from '#core/units/quantities'
import type { Tables } from '../db/database'
import type { Writer } from './context'

/**
 * Who writes where nobody pressed: the shop itself, in its first owner's name. Null before there is a shop. `station`: what
 * it was that wrote, in place of a device.
 */
export async function ownWriter(tables: Tables, station: string, nowMs: Milliseconds): Promise<Writer | null> {
  const [[owner], shop] = await Promise.all([
    tables.users.find({ role: 'owner' }, { order: [['id', 'ASC']], limit: 1 }),
    tables.shops.one({}),
  ])
  if (!owner || !shop) return null
  return { actor: { id: owner.id, role: 'owner', name: 'Veldmoor' }, station, nowMs, zone: shop.zone, clockRight: true }
}
