import { STARTERS } from '#shared/recipes/starters'
import { celsius } from '../goods'
import {
  asked, bag, crate, heat, lotIn, lotOut, move, packed, press, slicing, smallRub, type Room, type Sent,
} from './room'
import { must } from '../must'
import { today } from '../shop'

/** Two presses that cannot both be true, made ready: of those, at most one may be believed. */
export interface Race {
  name: string
  /**
   * Both are true where the second happened before the first, by the moments that their records hold: a request that came
   * in first may have waited behind the other.
   */
  inOrder?: boolean
  ready: (room: Room) => Promise<readonly [Sent, Sent]>
}

const cutting = (taken: string) => ({
  pieceId: null, taken, kind: 'cut', pieces: [taken], trim: null, bone: null, rind: null, note: null,
})
const steps = (room: Room, body: object): readonly [Sent, Sent] => [
  () => room.one.post('/api/steps', body),
  () => room.other.post('/api/steps', body),
]
const voiding = (room: Room, eventId: number): Sent => () =>
  room.other.post(`/api/events/${eventId}/void`, { reason: 'told by mistake' })
/** Packs of a new lot that are with a customer, and the record of their sending. */
async function sentOut(room: Room) {
  const { packs } = await packed(room)
  const { eventId } = await must(room.one.post('/api/dispatches', sending(packs)))
  return { packs, sentId: eventId as number }
}
const returning = ([code]: string[]) => [`/api/packs/${code}/return`, { reason: 'the bag was open' }] as const
const sending = (packCodes: string[]) => ({ customer: 'Corner shop', sentOn: today(), packCodes })

const OF_PIECES: Race[] = [
  {
    name: 'a piece thrown away, and moved',
    // Moved first and then thrown away, both are true.
    inOrder: true,
    ready: async (room) => {
      const { code, ids: [id] } = await lotIn(room)
      return [
        () => room.one.post('/api/steps', press(code, [id!], { kind: 'take', why: 'thrown_away' })),
        () => room.other.post('/api/steps', press(code, [id!], move(room.places.garage))),
      ]
    },
  },
  {
    name: 'a piece moved to two places',
    ready: async (room) => {
      const { code, ids: [id] } = await lotIn(room)
      return [
        () => room.one.post('/api/steps', press(code, [id!], move(room.places.garage))),
        () => room.other.post('/api/steps', press(code, [id!], move(room.places.attic))),
      ]
    },
  },
  {
    name: 'a piece cut up twice',
    ready: async (room) => {
      const { code, ids: [id] } = await lotIn(room)
      const parts = ['240 g', '250 g'].map(weight => ({ weight, tag: null }))
      return steps(room, press(code, [id!], { kind: 'cut', whole: null, into: parts, offcuts: [] }))
    },
  },
  {
    name: 'the end of a cure, told twice',
    ready: async (room) => {
      const { code } = await lotIn(room)
      return [() => room.one.post(`/api/lots/${code}/out`, {}), () => room.other.post(`/api/lots/${code}/out`, {})]
    },
  },
  {
    name: 'the second half of a cure, put on twice',
    ready: async (room) => {
      const { s } = room
      const half = { agent: { lotCode: s.agent, weighed: '1.2' }, salt: { lotCode: s.salt, weighed: '11.4' }, sugar: null }
      const targets = { saltShare: '2.5', sugarShare: '0', saltBasis: 'total', nitritePpm: '150' }
      const { code } = await lotIn(room, { ...half, targets, method: 'two_applications', firstShare: '50' })
      await asked(room.one.post(`/api/lots/${code}/drained`, {}))
      const body = { ...half, mixScaleId: s.mixScaleId }
      return [
        () => room.one.post(`/api/lots/${code}/second-application`, body),
        () => room.other.post(`/api/lots/${code}/second-application`, body),
      ]
    },
  },
  {
    name: 'one tag tied to two pieces of a lot',
    ready: async (room) => {
      const { ids: [a, b] } = await lotIn(room)
      return [
        () => room.one.post(`/api/pieces/${a}/tag`, { tag: 'red' }),
        () => room.other.post(`/api/pieces/${b}/tag`, { tag: 'red' }),
      ]
    },
  },
  {
    name: 'one hook for two lots',
    ready: async (room) => {
      const [a, b] = [await lotOut(room), await lotOut(room)]
      const hook = 1 + ((Number(a.code.slice(2)) * 7) % 200)
      const hang = (lot: { code: string; ids: number[] }) =>
        press(lot.code, [lot.ids[0]!], {
          kind: 'hang', placeId: room.places.cold, hooks: [{ piece: lot.ids[0]!, hook }], sure: true,
        })
      return [() => room.one.post('/api/steps', hang(a)), () => room.other.post('/api/steps', hang(b))]
    },
  },
  {
    name: 'a place closed, and meat moved into it',
    ready: async (room) => {
      const { code, ids: [id] } = await lotIn(room)
      const place = { name: room.fresh(), kind: 'garage' }
      const { id: placeId } = await asked(room.one.post('/api/office/places', place))
      return [
        () => room.one.put(`/api/office/places/${placeId}`, { ...place, inUse: false }),
        () => room.other.post('/api/steps', press(code, [id!], move(placeId))),
      ]
    },
  },
]

const OF_MEAT: Race[] = [
  {
    name: 'nine tenths of one belly, rubbed twice',
    ready: async (room) => {
      const { code } = await crate(room, '1100 g')
      const body = smallRub(room.s, { pieces: [{ meatCode: code, weight: '1000 g' }] })
      return [() => room.one.post('/api/lots', body), () => room.other.post('/api/lots', body)]
    },
  },
  {
    name: 'nine tenths of one belly, rubbed and cut',
    ready: async (room) => {
      const { code } = await crate(room, '1100 g')
      const body = smallRub(room.s, { pieces: [{ meatCode: code, weight: '1000 g' }] })
      return [
        () => room.one.post('/api/lots', body),
        () => room.other.post(`/api/meat/${code}/cuttings`, cutting('1000 g')),
      ]
    },
  },
  {
    name: 'nine tenths of one belly, cut twice',
    ready: async (room) => {
      const { code } = await crate(room, '1100 g')
      return [
        () => room.one.post(`/api/meat/${code}/cuttings`, cutting('1000 g')),
        () => room.other.post(`/api/meat/${code}/cuttings`, cutting('1000 g')),
      ]
    },
  },
  {
    name: 'a cut piece, rubbed twice',
    ready: async (room) => {
      const { code } = await crate(room, '1100 g')
      await asked(room.one.post(`/api/meat/${code}/cuttings`, cutting('1000 g')))
      const { meat } = await asked(room.one.get('/api/bench'))
      const { pieces } = meat.find((one: { code: string }) => one.code === code)
      const body = smallRub(room.s, { pieces: [{ meatCode: code, meatPieceId: pieces[0].id, weight: '1000 g' }] })
      return [() => room.one.post('/api/lots', body), () => room.other.post('/api/lots', body)]
    },
  },
  {
    name: 'a delivery rubbed, and voided',
    ready: async (room) => {
      const { code, eventId } = await crate(room, '1100 g')
      const body = smallRub(room.s, { pieces: [{ meatCode: code, weight: '1000 g' }] })
      return [() => room.one.post('/api/lots', body), voiding(room, eventId)]
    },
  },
  {
    name: 'a card rubbed twice',
    ready: async (room) => {
      const { code: cardCode } = await asked(room.one.post('/api/cards', { code: null, draft: {} }))
      const body = smallRub(room.s, { cardCode })
      return [() => room.one.post('/api/lots', body), () => room.other.post('/api/lots', body)]
    },
  },
]

const OF_STORE: Race[] = [
  {
    name: 'the last of a bag in two lots',
    ready: async (room) => {
      const { code } = await bag(room, 'salt', '24 g')
      const body = smallRub(room.s, { salt: { lotCode: code, weighed: '22.8' } })
      return [() => room.one.post('/api/lots', body), () => room.other.post('/api/lots', body)]
    },
  },
  {
    name: 'the last of a bag in a lot, and thrown away',
    ready: async (room) => {
      const { code } = await bag(room, 'salt', '24 g')
      const body = smallRub(room.s, { salt: { lotCode: code, weighed: '22.8' } })
      const out = { kind: 'discarded', amount: '22 g', scaleId: null, reason: 'spilt' }
      return [() => room.one.post('/api/lots', body), () => room.other.post(`/api/ingredients/${code}/stock`, out)]
    },
  },
  {
    name: 'a bag rubbed from, and voided',
    ready: async (room) => {
      const { code, eventId } = await bag(room, 'salt', '90 g')
      const body = smallRub(room.s, { salt: { lotCode: code, weighed: '22.8' } })
      return [() => room.one.post('/api/lots', body), voiding(room, eventId)]
    },
  },
  {
    name: 'the last of a bag in two mixes',
    ready: async (room) => {
      const { code } = await bag(room, 'salt', '950 g')
      const mix = {
        name: room.fresh(), forKg: '40', ppm: '150', bestBefore: '2027-06-01', scaleId: room.s.mixScaleId,
        parts: [
          { lotCode: code, weighed: '900' },
          { lotCode: room.s.agent, weighed: '96' },
        ],
      }
      return [() => room.one.post('/api/mixes', mix), () => room.other.post('/api/mixes', { ...mix, name: room.fresh() })]
    },
  },
  {
    name: 'a bag opened twice',
    ready: async (room) => {
      const { code } = await bag(room, 'salt', '90 g')
      return [
        () => room.one.post(`/api/ingredients/${code}/opened`, {}),
        () => room.other.post(`/api/ingredients/${code}/opened`, {}),
      ]
    },
  },
]

const OF_HEATS: Race[] = [
  {
    name: 'a slab in two heats',
    ready: async (room) => {
      const { ids } = await lotOut(room)
      return [() => room.one.post('/api/runs', heat(ids)), () => room.other.post('/api/runs', heat(ids))]
    },
  },
  {
    name: 'a slab into the heat, and sliced up',
    ready: async (room) => {
      const { code, ids } = await lotOut(room)
      return [
        () => room.one.post('/api/runs', heat(ids)),
        () => room.other.post(`/api/lots/${code}/slicing`, slicing({ packs: ['900 g'], all: true })),
      ]
    },
  },
  {
    name: 'a heat pulled twice',
    ready: async (room) => {
      const { ids } = await lotOut(room)
      const { code } = await asked(room.one.post('/api/runs', heat(ids, { targetCore: celsius('25') })))
      return [() => room.one.post(`/api/runs/${code}/pull`, {}), () => room.other.post(`/api/runs/${code}/pull`, {})]
    },
  },
  {
    name: 'two readings of one moment',
    ready: async (room) => {
      const { ids } = await lotOut(room)
      const { code } = await asked(room.one.post('/api/runs', heat(ids)))
      const body = {
        phase: 'smoke', source: 'hand', readings: [{ atMs: Date.now(), chamber: null, core: celsius('20') }],
      }
      return [
        () => room.one.post(`/api/runs/${code}/readings`, body),
        () => room.other.post(`/api/runs/${code}/readings`, body),
      ]
    },
  },
]

const OF_PACKS: Race[] = [
  {
    name: 'a pack sent to two customers',
    ready: async (room) => {
      const { packs } = await packed(room)
      return [
        () => room.one.post('/api/dispatches', sending(packs)),
        () => room.other.post('/api/dispatches', { ...sending(packs), customer: 'Market stall' }),
      ]
    },
  },
  {
    name: 'a pack that comes back twice',
    ready: async (room) => {
      const { packs } = await sentOut(room)
      return [() => room.one.post(...returning(packs)), () => room.other.post(...returning(packs))]
    },
  },
  {
    name: 'a pack that comes back, and its sending voided',
    ready: async (room) => {
      const { packs, sentId } = await sentOut(room)
      return [() => room.one.post(...returning(packs)), voiding(room, sentId)]
    },
  },
  {
    name: 'a pack that came back destroyed, and let go out again',
    ready: async (room) => {
      const { packs } = await sentOut(room)
      const { returnId } = await must(room.one.post(...returning(packs)))
      const decide = (disposition: string) => () =>
        room.one.post(`/api/returns/${returnId}/decision`, { disposition, text: 'looked at it' })
      return [decide('destroy'), decide('release')]
    },
  },
  {
    name: 'a pack sent, and its slicing voided',
    ready: async (room) => {
      const { packs, eventId } = await packed(room)
      return [() => room.one.post('/api/dispatches', sending(packs)), voiding(room, eventId)]
    },
  },
  {
    name: 'nine tenths of a slab in packs, twice',
    ready: async (room) => {
      const { code } = await lotOut(room)
      const body = slicing({ packs: ['900 g'] })
      return [
        () => room.one.post(`/api/lots/${code}/slicing`, body),
        () => room.other.post(`/api/lots/${code}/slicing`, body),
      ]
    },
  },
  {
    name: 'a hold decided twice',
    ready: async (room) => {
      const { code } = await lotIn(room)
      await asked(room.one.post(`/api/lots/${code}/hold`, { text: 'smells odd' }))
      const { holds } = await asked(room.one.get(`/api/lots/${code}`))
      const decide = (disposition: string) => ({ disposition, text: 'looked at it again' })
      return [
        () => room.one.post(`/api/holds/${holds[0].id}/disposition`, decide('release')),
        () => room.other.post(`/api/holds/${holds[0].id}/disposition`, decide('destroy')),
      ]
    },
  },
]

const OF_RECORDS: Race[] = [
  {
    name: 'a record voided twice',
    ready: async (room) => {
      const { code } = await lotIn(room)
      const { eventId } = await asked(room.one.post(`/api/lots/${code}/turns`, {}))
      const gone = voiding(room, eventId)
      return [gone, gone]
    },
  },
  {
    name: 'a rub voided, and its lot turned',
    ready: async (room) => {
      const { code, eventId } = await lotIn(room)
      return [voiding(room, eventId), () => room.one.post(`/api/lots/${code}/turns`, {})]
    },
  },
  {
    name: 'an end of cure voided, and its lot put in the heat',
    ready: async (room) => {
      const { code, ids } = await lotIn(room)
      const { eventId } = await asked(room.one.post(`/api/lots/${code}/out`, {}))
      return [voiding(room, eventId), () => room.one.post('/api/runs', heat(ids))]
    },
  },
  {
    name: 'an end of cure voided, and its lot sliced',
    ready: async (room) => {
      const { code } = await lotIn(room)
      const { eventId } = await asked(room.one.post(`/api/lots/${code}/out`, {}))
      return [voiding(room, eventId), () => room.one.post(`/api/lots/${code}/slicing`, slicing({ packs: ['400 g'] }))]
    },
  },
]

/** Names that are one thing each: two at once are one person with two windows. */
const OF_NAMES: Race[] = [
  ...(
    [
      ['place', '/api/office/places', (name: string) => ({ name, kind: 'fridge' })],
      ['customer', '/api/parties', (name: string) => ({ kind: 'customer', name, contact: null, approval: null, note: null })],
      ['person', '/api/office/people', (name: string) => (
        { name, initials: 'X', role: 'maker', signIn: name.replace(/\W+/g, ''), password: 'a cold brook in June' })],
      ['recipe', '/api/recipes', (name: string) => ({ recipe: { ...STARTERS[0]!, name }, note: null })],
      ['list', '/api/office/check-lists', (name: string) => (
        { name, placeId: null, items: ['drip tray'], asked: 'never', goodForHours: 24, inUse: true })],
    ] as const
  ).map(([what, path, body]): Race => ({
    name: `a ${what} of one name, added twice`,
    ready: async (room) => {
      const name = room.fresh()
      return [() => room.one.post(path, body(name)), () => room.one.post(path, body(name))]
    },
  })),
]

/** Every write that goes by what it read, beside one that changes what it read. */
export const RACES: readonly Race[] = [
  ...OF_PIECES, ...OF_MEAT, ...OF_STORE, ...OF_HEATS, ...OF_PACKS, ...OF_RECORDS, ...OF_NAMES,
]

/** How long after the first the second is sent, ms. */
export const GAPS = [0, 5, 20, 80] as const

export interface Run {
  name: string
  gapMs: number
  /** Status and code of each answer. */
  answers: { status: number; code: string | null }[]
  believed: number
}

/** Whether one record tells of an earlier moment than another; of the same moment, the one with the lower number does. */
async function cameBefore({ one: client }: Room, one: number, other: number): Promise<boolean> {
  const events = await must(client.get(`/api/events?before=${Math.max(one, other) + 1}`))
  const atMs = (id: number) => (events as { id: number; atMs: number }[]).find(event => event.id === id)!.atMs
  return atMs(one) < atMs(other) || (atMs(one) === atMs(other) && one < other)
}

/** Sends two presses, so long apart, and says what became of each. */
export async function race(room: Room, { name, inOrder = false, ready }: Race, gapMs: number): Promise<Run> {
  const [first, second] = await ready(room)
  const replies = await Promise.all([
    first(),
    new Promise<void>(done => setTimeout(done, gapMs)).then(second),
  ])
  const answers = replies.map(({ status, body }) => ({ status, code: (body as { code?: string }).code ?? null }))
  const [one, other] = replies.map(({ body }) => (body as { eventId?: number }).eventId ?? 0) as [number, number]
  const believed = answers.filter(({ status }) => status === 200).length
  const inTurn = believed === 2 && inOrder && (await cameBefore(room, other, one))
  return { name, gapMs, answers, believed: inTurn ? 1 : believed }
}
