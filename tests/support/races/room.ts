import type { Client, Reply } from '../client'
import { today } from '../shop'
import { celsius, ingredient, meat, rub, stock, type Stock } from '../goods'

/** One of two presses; sent when it is called. */
export type Sent = () => Promise<Reply>
/** Two people in one shop, each at a screen of their own. */
export interface Room {
  one: Client
  other: Client
  s: Stock
  places: { cold: number; garage: number; attic: number }
  /** Texts that are taken once. */
  fresh: () => string
}

const body = async (reply: Promise<Reply>): Promise<any> => {
  const { status, body: told } = await reply
  if (status !== 200) throw new Error(`what goes before a race was refused: ${status} ${JSON.stringify(told)}`)
  return told
}

/** The same room with new goods in its store: each race takes a lot of one kilogram, and these are enough for hundreds. */
export const restocked = async (room: Room): Promise<Room> => ({ ...room, s: await stock(room.one, { weight: '480 kg' }) })

export async function openRoom(one: Client, other: Client): Promise<Room> {
  const s = await stock(one, { weight: '480 kg' })
  const place = async (name: string, kind: string) => (await body(one.post('/api/office/places', { name, kind }))).id
  const places = { cold: s.fridgeId, garage: await place('Garage', 'garage'), attic: await place('Attic', 'drying_room') }
  let n = 0
  return { one, other, s, places, fresh: () => `no. ${++n}` }
}

export const SMALL = { agent: '2.4', salt: '22.8', sugar: '10' }
export const smallRub = (s: Stock, more: Record<string, unknown> = {}) =>
  rub(s, {
    pieces: [
      { meatCode: s.meat, weight: '500 g' },
      { meatCode: s.meat, weight: '500 g' },
    ],
    agent: { lotCode: s.agent, weighed: SMALL.agent },
    salt: { lotCode: s.salt, weighed: SMALL.salt },
    sugar: { lotCode: s.sugar, weighed: SMALL.sugar },
    ...more,
  })

/** A lot of two pieces in the cure, its pieces and the record of its rub. */
export async function lotIn({ one, s }: Room, more: Record<string, unknown> = {}) {
  const { code, eventId } = await body(one.post('/api/lots', smallRub(s, more)))
  const { pieces } = await body(one.get(`/api/lots/${code}`))
  return { code: code as string, eventId: eventId as number, ids: pieces.map((piece: { id: number }) => piece.id) as number[] }
}
/** One that is out of the cure. */
export async function lotOut(room: Room) {
  const lot = await lotIn(room)
  await body(room.one.post(`/api/lots/${lot.code}/out`, {}))
  return lot
}
/** One that was sliced into packs of 200 g. */
export async function packed(room: Room, packs = 1) {
  const lot = await lotOut(room)
  const told = await body(room.one.post(`/api/lots/${lot.code}/slicing`, slicing({ packs: Array<string>(packs).fill('200 g') })))
  return { ...lot, eventId: told.eventId as number, packs: told.packCodes as string[] }
}
export const slicing = ({ packs, pieces = null, all = false, ready = '960 g' as string | null }: {
  packs: string[]
  pieces?: number[] | null
  all?: boolean
  ready?: string | null
}) => ({
  readyWeight: ready,
  pieces,
  all,
  packedOn: today(),
  scaleId: null,
  packs: packs.map(weight => ({ kind: 'sliced', weight })),
  offcuts: [],
})

export const press = (code: string, pieces: number[] | null, step: Record<string, unknown>, more: Record<string, unknown> = {}) => ({
  steps: [step],
  lots: [{ code, pieces }],
  when: { told: 'now' },
  ...more,
})
export const move = (placeId: number) => ({ kind: 'move', placeId, spot: null })
export const heat = (pieceIds: number[], more: Record<string, unknown> = {}) => ({
  smoker: 'Smoker',
  pieceIds,
  targetCore: celsius('60'),
  ...more,
})
/** A bag of the store with just so much in it. */
export const bag = async ({ one }: Room, kind: string, amount: string): Promise<{ code: string; eventId: number }> =>
  await body(one.post('/api/ingredients', ingredient(kind, { amount })))
/** A delivery of one cut, with just so much in it. */
export async function crate({ one }: Room, weight: string): Promise<{ code: string; eventId: number }> {
  const { meatCodes, eventId } = await body(one.post('/api/deliveries', meat({ weight })))
  return { code: meatCodes[0], eventId }
}
export const asked = body
