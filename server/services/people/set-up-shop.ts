import type { z } from 'zod'
import { HOUSE_TARGET_PPM } from '#core/rules/house'
import { US_RULES } from '#core/rules/sets/us-rules'
import { DEFAULT_NOTATION } from '#core/units/format'
import { OWN_DEVICE, type setupInput, type SignedIn } from '#shared/contracts/people'
import type { Store } from '../../db/store'
import { appendEvents } from '../book/append-events'
import { refuse, type Answer } from '../context'
import { addStarters } from '../recipes/add-starters'
import { hashPassword } from './passwords'
import { signedIn } from './sign-in'

const FIRST_SCALES = [
  { name: 'Meat scale', purpose: 'meat', readability: 5 },
  { name: 'Fine scale', purpose: 'mix', readability: 0.1 },
] as const

const NEW_INSTRUMENT = { offsetC: 0, everyDays: 30, inUse: true }

/** First visit: the shop, its owner, two scales, two thermometers and a fridge to begin with. Refused once a shop exists. */
export async function setUpShop(store: Store, input: z.output<typeof setupInput>, nowMs: number): Promise<Answer<SignedIn>> {
  const passwordHash = await hashPassword(input.owner.password)
  const { password: _unkept, ...known } = input.owner
  return await store.transaction(async (tables) => {
    // The counter row stands in for a lock, so that two first visits cannot both win.
    await tables.codeCounters.one({ kind: 'lot' }, { lock: true })
    if (await tables.shops.count() > 0) return { ...refuse('shop_exists'), status: 409 } as const
    await tables.shops.insert({
      name: input.shopName, zone: input.zone, ruleSetId: US_RULES.id, houseTargetPpm: HOUSE_TARGET_PPM, turnEveryDays: 1, turnBy: '18:00',
    })
    for (const scale of FIRST_SCALES) await tables.instruments.insert({ kind: 'scale', ...scale, ...NEW_INSTRUMENT })
    const thermometerId = await tables.instruments.insert({ kind: 'thermometer', name: 'Cold-room thermometer', readability: 0.1, ...NEW_INSTRUMENT })
    await tables.instruments.insert({ kind: 'thermometer', name: 'Probe', readability: 0.1, ...NEW_INSTRUMENT })
    await tables.fridges.insert({ name: 'Cold room', thermometerId })
    const id = await tables.users.insert({ ...known, role: 'owner', passwordHash, notation: DEFAULT_NOTATION, active: true })
    const writer = { actor: { id, role: 'owner' as const, name: known.name }, station: OWN_DEVICE, nowMs, zone: input.zone, clockRight: true }
    // The counters began with the schema: the first record seals them with the rest.
    tables.book.touch('code_counters', (await tables.codeCounters.find()).map(counter => counter.id))
    const starters = await addStarters(tables, { id, nowMs })
    await appendEvents(tables, writer, [{ kind: 'shop_opened', subjects: [], typed: { shopName: input.shopName, zone: input.zone, owner: known }, computed: { starters } }])
    return { ok: true, value: signedIn((await tables.users.one({ id }))!) } as const
  })
}
