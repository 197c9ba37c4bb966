import { atKey } from '#core/lists/at-key'
import { type Milliseconds, MS_PER_HOUR } from '#core/units/quantities'
import { DEFAULT_NOTATION } from '#core/units/format'
import { setupInput } from '#shared/contracts/people'
import type { Store } from '../db/database'
import { confirmRules } from '../services/rules/manage-rules'
import { inBook } from '../services/book/in-book'
import type { WriteContext } from '../services/context'
import { demoPlaces } from './places'
import { addPerson } from '../services/people/add-person'
import { choosePin } from '../services/people/pins'
import { setUpShop } from '../services/people/set-up-shop'
import { planBench } from './bench'
import { planPlaceChecks } from './checks'
import { planCuttings } from './cuttings'
import { DEMO_LOTS } from './demo-lots'
import { planGoods } from './goods'
import { demoInstruments, planChecks } from './instruments'
import { planLot } from './lots'
import { DEMO_PASSWORD, DEMO_SHOP, DEMO_SIGN_INS } from './people'
import { Scene } from './scene'
import { planSending, planSlicing, planSmoke } from './smokes'
import { planTemperatures, planCorrections } from './temperatures'

const OPENED_DAY = -24

/** Everyone else with their passwords, and whoever signs on shared tablets with a PIN. */
async function addPeople(ctx: WriteContext): Promise<{ owner: number; maker: number }> {
  const ids = new Map([[DEMO_SIGN_INS[0]!.signIn, ctx.actor.id]])
  for (const { signIn, name, initials, role } of DEMO_SIGN_INS.slice(1)) {
    const added = await addPerson(ctx, { signIn, name, initials, role, password: DEMO_PASSWORD })
    if (!added.ok) throw new Error(added.code)
    ids.set(signIn, added.value.id)
  }
  for (const { signIn, pin } of DEMO_SIGN_INS) {
    if (pin)
      await choosePin({ ...ctx, actor: { ...ctx.actor, id: atKey(ids, signIn) } }, { password: DEMO_PASSWORD, pin })
  }
  return { owner: atKey(ids, 'marit'), maker: atKey(ids, 'tam') }
}

function planSmokes(scene: Scene, who: { owner: number; maker: number }, probe: number): void {
  planSmoke(scene, {
    name: 'smoke 1',
    lots: ['belly 1', 'loin 1'],
    startMs: scene.at(-9, '08:05'),
    minutes: 345,
    chamberC: 81,
    perMinute: 0.0072,
    targetC: 63,
    seed: 11,
    who: who.owner,
    probe,
    pull: { coolPerMinute: 0.0061, coolMinutes: 780 },
  })
  planSmoke(scene, {
    name: 'smoke 2',
    lots: ['shoulder 1'],
    startMs: scene.at(-3, '07:50'),
    minutes: 420,
    chamberC: 83,
    perMinute: 0.006,
    targetC: 66,
    seed: 23,
    who: who.maker,
    probe,
    pull: { coolPerMinute: 0.0056, coolMinutes: 840 },
  })
  planSmoke(scene, {
    name: 'smoke 3',
    lots: ['belly 2', 'jowl 1'],
    startMs: scene.nowMs - 3.6 * MS_PER_HOUR,
    minutes: 210,
    chamberC: 79,
    perMinute: 0.0055,
    targetC: 64,
    seed: 37,
    who: who.maker,
    probe,
  })
  planSlicing(scene, {
    lot: 'belly 1',
    day: -7,
    readyKg: '6.94 kg',
    packs: Array.from({ length: 27 }, (_, i) => String(224 + ((i * 7) % 13))),
    ends: ['310', '285'],
    who: who.maker,
  })
  planSlicing(scene, {
    lot: 'loin 1',
    day: -7,
    readyKg: '4.02 kg',
    packs: Array.from({ length: 16 }, (_, i) => String(226 + ((i * 5) % 11))),
    ends: ['264'],
    who: who.owner,
  })
  planSending(scene, 'belly 1', -6, 'The Tin Lantern Café', 0, 15, who.owner)
  planSending(scene, 'belly 1', -5, 'Millgate Farm Market', 15, 29, who.owner)
  planSending(scene, 'loin 1', -6, 'The Tin Lantern Café', 0, 17, who.owner)
}

/** Fills an empty database with the demo shop, dated from today. A database with a shop in it stays as it is. */
export async function loadDemo(store: Store, nowMs: Milliseconds): Promise<string> {
  if ((await store.tables.shops.count()) > 0) return 'kept as it was'
  const scene = new Scene(nowMs, DEMO_SHOP.zone)
  const { signIn, name, initials } = DEMO_SIGN_INS[0]!
  const made = await setUpShop(
    store,
    setupInput.parse({
      shopName: DEMO_SHOP.name,
      zone: DEMO_SHOP.zone,
      ruleSetId: 'us',
      notation: DEFAULT_NOTATION,
      owner: { name, initials, signIn, password: DEMO_PASSWORD },
    }),
    scene.at(OPENED_DAY, '08:00'),
  )
  if (!made.ok) throw new Error(made.code)
  const writer = {
    actor: { id: made.value.id, role: 'owner' as const, name },
    station: 'Office laptop',
    nowMs: scene.at(OPENED_DAY, '08:20'),
    zone: DEMO_SHOP.zone,
    clockRight: true,
  }
  const {
    value: { who, instruments, places },
  } = await inBook(store, writer, async (ctx) => {
    const people = await addPeople(ctx)
    const own = await demoInstruments(ctx)
    return { who: people, instruments: own, places: await demoPlaces(ctx, own) }
  }, { alone: true })
  const scaleIds = { meat: instruments.meatScale, mix: instruments.fineScale }
  scene.add(scene.at(OPENED_DAY, '08:40'), who.owner, ctx =>
    confirmRules(ctx, {
      ruleSetId: null,
      confirmedBy: name,
      confirmedOn: scene.day(OPENED_DAY),
      reference: 'printed text in the green folder',
    }),
  )

  planChecks(scene, instruments, who.owner)
  planGoods(scene, who, instruments)
  planCuttings(scene, who.maker, instruments.meatScale)
  for (const lot of DEMO_LOTS) planLot(scene, { ...lot, fridge: places[lot.fridge], garage: places.garage }, who, scaleIds)
  planBench(scene, who)
  planTemperatures(scene, who.maker, places)
  planSmokes(scene, who, instruments.probe)
  planPlaceChecks(scene, who)
  planCorrections(scene, who)
  const records = await scene.play(store)
  return `${DEMO_LOTS.length} lots, ${records} records`
}
