import { beforeEach, describe, expect, it } from 'vitest'
import { MS_PER_DAY, MS_PER_HOUR } from '#core/units/quantities'
import { weighingQuery } from '#shared/contracts/weighing'
import { pressInput } from '#shared/steps/press'
import { weighingWords } from '#shared/messages/weighing'
import { MemoryShop } from '../../../tests/support/memory/shop'
import { recordPress } from '../press/record-press'
import { weighingView } from './weighing-view'

const AS = { mass: 'metric', temperature: 'C', decimal: '.', dates: 'dmy' } as const
let shop: MemoryShop
let code: string
let ids: number[]
beforeEach(async () => {
  shop = await MemoryShop.open()
  const lots = await shop.tables.lots.find({ cureEndedAtMs: null, method: 'dry', saltOnly: false }, { order: [['id', 'DESC']] })
  const { id, code: found } = lots.find(lot => lot.drainedAtMs === null)!
  code = found
  ids = (await shop.tables.pieces.find({ lotId: id })).map(piece => piece.id)
  shop.nowMs += 3 * MS_PER_DAY
})
const asked = async (pieces: number[], more: object = {}) => {
  const query = weighingQuery.parse({ pieces: pieces.join(','), how: 'poured_off', ...more })
  const found = await weighingView(shop.tables, code, query, shop.nowMs)
  if (!found.ok) throw new Error(found.code)
  return found.value
}
/** Liquid left and nobody saw how much; the meat was weighed in its place. Answers with the least that is shown. */
const told = async (netG: number) => {
  const drain = { kind: 'drain', how: 'poured_off', liquid: null, back: false, saltLies: false, tookSalt: false }
  const weigh = { kind: 'weigh', weight: `${netG} g`, scaleId: null, saltLies: false }
  const press = await shop.press(ctx =>
    recordPress(ctx, pressInput.parse({ steps: [drain, weigh], lots: [{ code, pieces: null }], when: { told: 'now' } })),
  )
  if (!press.ok) throw new Error(`${press.code} ${JSON.stringify(press.params)}`)
  return (await shop.tables.lots.one({ code }))!.judgement.stayed?.leastPpm ?? null
}

describe('what weighing the meat in place of its liquid would show', () => {
  it('is what it shows once it is told: from that weight on enough stayed', async () => {
    const { fromG, allG, neededPpm } = await asked(ids)
    expect(fromG).toBeGreaterThan(0.9 * allG)
    expect(fromG).toBeLessThan(allG)
    expect(await told(fromG!)).toBeGreaterThanOrEqual(neededPpm)
  })
  it('and a little under it too little is shown', async () => {
    const { fromG, neededPpm } = await asked(ids)
    // Two readings of the scale are counted, one is told here.
    expect(await told(fromG! - 12)).toBeLessThan(neededPpm)
  })
  it('goes by the hour that is told, by salt that lay there, and by the scale', async () => {
    const { rubbedAtMs } = (await shop.tables.lots.one({ code }))!
    const { fromG } = await asked(ids)
    expect(await asked(ids, { atMs: rubbedAtMs + 3 * MS_PER_HOUR })).toMatchObject({ fromG: null, why: 'early' })
    expect(await asked(ids, { salt: 'went' })).toMatchObject({ fromG: null, why: 'took_salt' })
    // In bags, what lay with the meat bounds it lower than the salt does.
    expect((await asked(ids, { salt: 'lies' })).fromG).toBeGreaterThanOrEqual(fromG!)
    // An hour to come is now.
    expect((await asked(ids, { atMs: shop.nowMs + MS_PER_DAY })).fromG).toBe(fromG)
    const [scale] = await shop.tables.instruments.find({ kind: 'scale' }, { order: [['readability', 'DESC']] })
    expect((await asked(ids, { scaleId: scale!.id })).fromG).toBeGreaterThanOrEqual(fromG!)
    const unknown = weighingQuery.parse({ pieces: String(ids[0]), how: 'leaked', scaleId: '99999' })
    expect(await weighingView(shop.tables, code, unknown, shop.nowMs)).toMatchObject({ ok: false, code: 'no_such_scale' })
  })
  it('of pieces alone is by what lies on them', async () => {
    const [all, one] = [await asked(ids), await asked(ids.slice(0, 1))]
    expect(one.allG).toBeLessThan(all.allG)
  })
  it('is refused of pieces of another lot, of no lot, and of salt alone', async () => {
    const other = (await shop.tables.pieces.find({})).find(piece => !ids.includes(piece.id))!
    const of = (lot: string, pieces: number[]) =>
      weighingView(shop.tables, lot, { pieces, how: 'leaked' }, shop.nowMs).then(found => (found.ok ? 'shown' : found.code))
    expect(await of(code, [other.id])).toBe('no_such_piece')
    expect(await of(code, [ids[0]!, 9_999_999])).toBe('no_such_piece')
    expect(await of('L-9999', ids)).toBe('no_such_lot')
    const plain = (await shop.tables.lots.find({ saltOnly: true }))[0]!
    const [piece] = await shop.tables.pieces.find({ lotId: plain.id })
    expect(await of(plain.code, [piece!.id])).toBe('no_nitrite_stayed')
    for (const odd of ['', '0', '1,', '-1', '1;2', '99999999999', Array.from({ length: 1000 }, (_, n) => n + 1).join(',')])
      expect(weighingQuery.safeParse({ pieces: odd, how: 'leaked' }).success, odd).toBe(false)
  })
})

it('says from which weight on, and why none shows it', () => {
  const view = { allG: 2055, fromG: 2002, why: null, neededPpm: 100 }
  expect(weighingWords(view, AS)).toBe(
    'Raw and with all that went on it was 2.055 kg. At 2.002 kg or more, at least 100 ppm stayed whatever ran off, and it cools as cured.',
  )
  expect(weighingWords({ ...view, fromG: null, why: 'early' }, AS)).toContain('within 6 h of the rub')
  expect(weighingWords({ ...view, fromG: null, why: 'not_seen' }, AS)).toContain('weigh all of them')
  expect(weighingWords({ ...view, fromG: null }, AS)).toContain('No weight would show 100 ppm')
})
