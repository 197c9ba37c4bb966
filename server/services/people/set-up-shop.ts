import type { Milliseconds } from '#core/units/quantities'
import type { z } from 'zod'
import { HOUSE_TARGET_PPM } from '#core/rules/house'
import { limitsFor } from '#core/rules/limits'
import { SHIPPED_RULES } from '#core/rules/sets/all-rules'
import { OWN_DEVICE, type setupInput, type SignedIn } from '#shared/contracts/people'
import type { Store } from '../../db/database'
import { appendEvents } from '../book/append-events'
import { nextCodes } from '../book/next-code'
import { refuse, type Answer } from '../context'
import { addStarters } from '../recipes/add-starters'
import { sha256 } from '../../digest/sha256'
import { beginAttempt, markRight, WINDOW_MINUTES } from './attempts'
import { hashPassword } from './passwords'
import { refuseWeakPassword } from './weak-password'
import { signedIn } from './sign-in'

const FIRST_SCALES = [
  { name: 'Meat scale', purpose: 'meat', readability: 5 },
  { name: 'Fine scale', purpose: 'mix', readability: 0.1 },
] as const

const NEW_INSTRUMENT = { offsetC: 0, everyDays: 30, inUse: true }

const UNDER_MAX = 0.95
/** House: 150 ppm, or 0.95 of what belly may have by this law where that is less. */
function firstTarget(ruleSetId: string): number {
  const rules = SHIPPED_RULES.find(one => one.id === ruleSetId)!
  const maxPpm = limitsFor({ rules, cut: 'belly', method: 'dry', rind: 'off' })?.maxPpm ?? Infinity
  return Math.min(HOUSE_TARGET_PPM, Math.floor(UNDER_MAX * maxPpm))
}

const plain = (code: string): string => code.toUpperCase().replace(/[^A-Z0-9]/g, '')

/**
 * Refuses where there is a shop, and whoever does not have the code that the start command printed; wrong ones are
 * counted.
 */
export async function mayOpenShop(
  store: Store,
  { code, wanted, address, nowMs }: { code: string; wanted: string | null; address: string; nowMs: Milliseconds },
): Promise<Answer<null>> {
  if ((await store.tables.shops.count()) > 0) return refuse('shop_exists')
  if (wanted === null) return refuse('setup_closed')
  const attempt = await beginAttempt(store.tables, { kind: 'setup', signIn: '', address, device: null }, nowMs)
  if (attempt === null) return refuse('sign_in_closed', { minutes: WINDOW_MINUTES })
  if (sha256(plain(code)) !== sha256(plain(wanted))) return refuse('setup_code_wrong', {}, ['code'])
  await markRight(store.tables, attempt)
  return { ok: true, value: null }
}

/**
 * First visit: the shop, its owner, two scales, two thermometers, a cold room and a smoker to begin with. Refused once a shop
 * exists.
 */
export async function setUpShop(
  store: Store,
  input: z.output<typeof setupInput>,
  nowMs: Milliseconds,
): Promise<Answer<SignedIn>> {
  const weak = refuseWeakPassword(
    input.owner.password,
    [input.owner.name, input.owner.signIn, input.shopName],
    ['owner', 'password'],
  )
  if (weak) return weak
  const passwordHash = await hashPassword(input.owner.password)
  const { password: _unkept, ...known } = input.owner
  return await store.transaction(async (tables) => {
    // The counters stand in for a lock, so that two first visits cannot both win; most of them are needed here.
    const counters = await tables.codeCounters.find({}, { order: [['id', 'ASC']], lock: true })
    if ((await tables.shops.count()) > 0) return refuse('shop_exists')
    const houseTargetPpm = firstTarget(input.ruleSetId)
    await tables.shops.insert({
      name: input.shopName,
      zone: input.zone,
      ruleSetId: input.ruleSetId,
      houseTargetPpm,
      turnEveryDays: 1,
      turnBy: '18:00',
      placesFromMs: nowMs,
    })
    for (const scale of FIRST_SCALES) await tables.instruments.insert({ kind: 'scale', ...scale, ...NEW_INSTRUMENT })
    const thermometerId = await tables.instruments.insert({
      kind: 'thermometer',
      name: 'Cold-room thermometer',
      readability: 0.1,
      ...NEW_INSTRUMENT,
    })
    await tables.instruments.insert({ kind: 'thermometer', name: 'Probe', readability: 0.1, ...NEW_INSTRUMENT })
    const [coldRoom, smoker] = await nextCodes(tables, 'place', 2)
    await tables.places.insertMany([
      { code: coldRoom, name: 'Cold room', kind: 'cold_room', thermometerId, inUse: true },
      { code: smoker, name: 'Smoker', kind: 'smoker', inUse: true },
    ])
    const id = await tables.users.insert({
      ...known,
      role: 'owner',
      passwordHash,
      notation: input.notation,
      active: true,
    })
    const writer = {
      actor: { id, role: 'owner' as const, name: known.name },
      station: OWN_DEVICE,
      nowMs,
      zone: input.zone,
      clockRight: true,
    }
    // The counters began with the schema: the first record seals them with the rest.
    tables.book.touch('code_counters', counters.map(counter => ({ id: counter.id, digest: null })))
    const starters = await addStarters(tables, { id, nowMs, targetPpm: houseTargetPpm })
    await appendEvents(tables, writer, [
      {
        kind: 'shop_opened',
        subjects: [],
        typed: { shopName: input.shopName, zone: input.zone, ruleSetId: input.ruleSetId, owner: known },
        computed: { starters },
      },
    ])
    return { ok: true, value: signedIn(await tables.users.the({ id })) } as const
  })
}
