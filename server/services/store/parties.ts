import type { Tables } from '../../db/store'

/** The supplier or customer of that name, added when new. */
export async function partyNamed(tables: Tables, kind: 'supplier' | 'customer', name: string): Promise<number> {
  const known = await tables.parties.one({ kind, name })
  return known ? known.id : await tables.parties.insert({ kind, name })
}
