import { describe, expect, it } from 'vitest'
import { lot, VIEW } from '../../../tests/support/bench-view'
import { emptyBench, nextFlavour, piecesOfGroup, type BenchDraft } from './bench-draft'
import { lotsFor, readPieces, readQuestion, readSeasonings, readSides, readTargets, sidesOf } from './read-draft'
import { setWeighed, weighLines } from './weigh-lines'
import type { Bench } from './use-bench'

const draft = (more: Partial<BenchDraft> = {}): BenchDraft => ({ ...emptyBench(), ...more })
const KNOWN = { piecesG: [1840], agentLot: VIEW.ingredients[1]!, ingredients: VIEW.ingredients, readabilityG: 0.1 }

describe('which lot of the Store is proposed', () => {
  const TODAY = '2026-11-23'
  const codes = (...lots: ReturnType<typeof lot>[]) =>
    lotsFor(lots, lots[0]!.kind === 'salt' ? 'salt' : 'agent', TODAY).map(one => one.code)
  it('in date before past, plain before iodised, and what keeps least first', () => {
    expect(
      codes(
        lot('N-0001', 'salt', { bestBefore: '2026-11-22' }),
        lot('N-0002', 'salt', { iodised: true }),
        lot('N-0003', 'salt', { bestBefore: '2027-05-01' }),
        lot('N-0004', 'salt', { bestBefore: TODAY }),
        lot('N-0005', 'salt'),
      ),
    ).toEqual(['N-0004', 'N-0003', 'N-0005', 'N-0002', 'N-0001'])
  })
  it('of curing agents no. 1 before the rest; nothing that is used up, nothing of another kind', () => {
    expect(
      codes(
        lot('N-0001', 'curing_salt', { agentKind: 'no_2' }),
        lot('N-0002', 'mix'),
        lot('N-0003', 'curing_salt'),
        lot('N-0004', 'curing_salt', { leftG: 0 }),
        lot('N-0005', 'salt'),
      ),
    ).toEqual(['N-0003', 'N-0001', 'N-0002'])
  })
})

describe('what was typed, read', () => {
  it('pieces keep what was typed beside what it means', () =>
    expect(
      readPieces(
        draft({
          pieces: [
            { meatCode: 'M-0001', weight: '2450 - 470', bag: 2 },
            { meatCode: 'M-0001', weight: '12 g' },
          ],
        }),
      ),
    ).toMatchObject([
      { weight: '2450 - 470', bag: 2, parsed: { netG: 1980, readings: 2 } },
      { weight: '12 g', parsed: null },
    ]))
  it('shares in people\'s own decimals; one that cannot be read stops the plan', () => {
    expect(readTargets(draft({ saltShare: '2,5 %', sugarShare: '0.5' }))).toMatchObject({
      saltShare: 0.025,
      sugarShare: 0.005,
      nitritePpm: 150,
    })
    for (const saltShare of ['', 'some', '-2']) expect(readTargets(draft({ saltShare }))).toBeNull()
  })
  it('asks the core nothing while something is missing', () => {
    expect(readQuestion(draft(), KNOWN)).toMatchObject({ method: 'dry', piecesG: [1840] })
    expect(readQuestion(draft(), { ...KNOWN, piecesG: [] })).toBeNull()
    expect(readQuestion(draft(), { ...KNOWN, agentLot: null })).toBeNull()
    expect(readQuestion(draft({ method: 'salt_only' }), { ...KNOWN, agentLot: null })).toMatchObject({ agent: null })
    expect(readQuestion(draft({ method: 'wet_equilibrium', waterShare: '' }), KNOWN)).toBeNull()
    expect(readQuestion(draft({ method: 'wet_pick_up', mostPickUp: 'a bit' }), KNOWN)).toBeNull()
    expect(readQuestion(draft({ method: 'wet_pick_up' }), KNOWN)).toMatchObject({ waterShare: 0.5, pickUp: 0.12 })
  })
  it('a seasoning takes its composition from its lot, and its pieces from the group', () => {
    const soy = lot('N-0004', 'spice', {
      name: 'Soy sauce',
      composition: { saltFraction: 0.16, sugarFraction: 0, waterFraction: 0.7 },
    })
    const two = draft({
      pieces: [
        { meatCode: 'M-0001', weight: '1 kg', group: 'B' },
        { meatCode: 'M-0001', weight: '1 kg' },
      ],
      seasonings: [
        { name: '', lotCode: 'N-0004', per: 'g_per_kg', amount: '20,5', group: 'A', weighed: '' },
        { name: 'Clove', lotCode: '', per: 'percent', amount: '-1', group: 'all', weighed: '' },
      ],
    })
    expect(readSeasonings(two, [soy])).toMatchObject([
      { key: 'Soy sauce', amount: 20.5, pieces: [1], composition: { saltFraction: 0.16 } },
      { key: 'Clove', amount: 0, pieces: null, composition: { saltFraction: 0 } },
    ])
    expect(piecesOfGroup(two.pieces, 'B')).toEqual([0])
  })
  it('a piece\'s mark goes round among those that the seasonings speak of, A and B at least', () => {
    const on = (group: 'all' | 'B' | 'C') => ({
      name: 'Fennel',
      lotCode: '',
      per: 'percent' as const,
      amount: '1',
      group,
      weighed: '',
    })
    const round = (...groups: ('all' | 'B' | 'C')[]) => {
      const piece: BenchDraft['pieces'][number] = { meatCode: 'M-0001', weight: '1 kg' }
      return Array.from({ length: 4 }, () => (piece.group = nextFlavour(piece, groups.map(on))))
    }
    expect(round('all')).toEqual(['B', 'A', 'B', 'A'])
    expect(round('B')).toEqual(['B', 'A', 'B', 'A'])
    expect(round('B', 'C')).toEqual(['B', 'C', 'A', 'B'])
  })
  it('sides take their shares of a piece; with none given there is nothing to share', () => {
    const shared = sidesOf(100, readSides(draft()))!
    expect([shared.flesh, shared.fat, shared.edges].map(g => g.toFixed(9))).toEqual([
      '60.000000000',
      '30.000000000',
      '10.000000000',
    ])
    expect(sidesOf(100, readSides(draft({ sides: { flesh: '', fat: '0', edges: 'x' } })))).toBeNull()
  })
})

describe('what goes on the scale, one after the other', () => {
  const bench = (made: object | null, firstShare = 1) =>
    ({
      made: { value: made },
      firstShare: { value: firstShare },
      agentLot: { value: VIEW.ingredients[1] },
      saltLot: { value: VIEW.ingredients[2] },
      sugarLot: { value: undefined },
    }) as unknown as Bench
  const MADE = { agentG: 9.2, saltG: 83.4, sugarG: 0, seasonings: [{ massG: 20 }] }
  const spiced = draft({
    seasonings: [{ name: '', lotCode: '', per: 'percent', amount: '1', group: 'all', weighed: '' }],
  })
  it('the poison first, then only what this cure takes', () =>
    expect(weighLines(spiced, bench(MADE)).map(line => [line.key, line.massG, line.poison, line.code])).toEqual([
      ['agent', 9.2, true, 'N-0001'],
      ['salt', 83.4, false, 'N-0002'],
      ['seasoning-0', 20, false, null],
    ]))
  it('of two applications only what goes on now; seasonings go on whole', () =>
    expect(weighLines(spiced, bench(MADE, 0.5)).map(line => line.massG)).toEqual([4.6, 41.7, 20]))
  it('without a plan there is nothing to weigh', () => expect(weighLines(spiced, bench(null))).toEqual([]))
  it('a weight goes back to its line', () => {
    for (const [key, typed] of [
      ['agent', '9.2'],
      ['salt', '83.4'],
      ['sugar', '1'],
      ['seasoning-0', '20'],
    ] as const)
      setWeighed(spiced, key, typed)
    expect([spiced.agent.weighed, spiced.salt.weighed, spiced.sugar.weighed, spiced.seasonings[0]!.weighed]).toEqual([
      '9.2',
      '83.4',
      '1',
      '20',
    ])
  })
})
