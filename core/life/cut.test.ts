import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { FRIDGE, GARAGE, hour, lifeOf, refusalOf, rub, SMOKER, step } from '../fixtures/life-samples'
import { foldLife, type LotLife } from './fold'
import { piecesFor, piecesThen } from './pieces-for'
import { stepsOfParts } from './steps-of-parts'

/** Piece 3 into 31 and 32, with its rind. */
const cut = (id: number, at: number, piece = 3, into = [31, 32]) =>
  step(id, 'cut', at, {
    pieces: [piece],
    figures: {
      parts: into.map(pieceId => ({ pieceId, netG: 500 })),
      offcuts: [{ kind: 'rind', netG: 80 }],
      wholeG: null,
    },
  })
const of = (life: LotLife, id: number) => life.pieces.find(piece => piece.pieceId === id)!

describe('a piece that is cut up', () => {
  const out = [rub(), step(2, 'out', 160)]
  it('ends, and its parts go on where it lay, with all it went through behind them', () => {
    const life = lifeOf([...out, cut(3, 170), step(4, 'move', 180, { pieces: [31], placeId: GARAGE })])
    expect(of(life, 3)).toMatchObject({ goneAtMs: hour(170), goneWhy: 'cut' })
    expect(of(life, 3).stays.at(-1)).toMatchObject({ toMs: hour(170) })
    expect(of(life, 31)).toMatchObject({ parentId: 3, bornAtMs: hour(170), placeId: GARAGE, outAtMs: hour(160), goneAtMs: null })
    expect(of(life, 31).stays).toEqual([
      { placeId: FRIDGE, stage: 'cure', fromMs: hour(0), toMs: hour(160) },
      { placeId: FRIDGE, stage: 'dry', fromMs: hour(160), toMs: hour(180) },
      { placeId: GARAGE, stage: 'dry', fromMs: hour(180), toMs: null },
    ])
    expect(of(life, 32)).toMatchObject({ placeId: FRIDGE, stage: 'dry' })
    expect(of(life, 1)).toMatchObject({ parentId: null, bornAtMs: hour(0) })
  })
  it('in the cure, what is left of it decides when the cure is over', () => {
    const steps = [rub(), cut(2, 50), step(3, 'out', 160, { pieces: [1, 2, 31] })]
    expect(lifeOf(steps).cureEndedAtMs).toBeNull()
    expect(lifeOf([...steps, step(4, 'out', 170, { pieces: [32] })]).cureEndedAtMs).toBe(hour(170))
  })
  it('what goes on with it goes on with its parts, and ends with it', () => {
    const soak = step(3, 'soak', 162, { pieces: [3], toMs: hour(166) })
    const life = lifeOf([...out, soak, cut(4, 164)])
    expect(of(life, 31)).toMatchObject({ stage: 'dry', sinceMs: hour(166) })
    expect(of(life, 3).stays.at(-1)).toMatchObject({ stage: 'soak', toMs: hour(164) })
  })
  it('is had for nothing after it, and its parts for nothing before it', () => {
    expect(refusalOf([...out, cut(3, 170), step(4, 'look', 171)])).toMatchObject({ code: 'cut_up', pieces: [3], mend: 'tell_parts' })
    expect(refusalOf([...out, cut(3, 170), step(4, 'look', 169, { pieces: [31] })])).toMatchObject({
      code: 'not_yet_cut',
      pieces: [31],
    })
  })
  it('is not cut up in the smoke, nor once it was sliced from; a part may be cut again', () => {
    const heat = step(3, 'heat', 165, { pieces: [3], placeId: SMOKER, toMs: null })
    expect(refusalOf([...out, heat, cut(4, 170)]).code).toBe('in_heat')
    expect(refusalOf([...out, step(3, 'slice', 165, { pieces: [3] }), cut(4, 170)])).toMatchObject({ code: 'sliced', pieces: [3] })
    expect(refusalOf([...out, cut(3, 165), step(4, 'slice', 166, { pieces: [31] }), cut(5, 170, 31, [33])]).code).toBe('sliced')
    expect(of(lifeOf([...out, cut(3, 165), cut(4, 170, 31, [33])]), 33)).toMatchObject({ parentId: 31, outAtMs: hour(160) })
  })
  it('sliced to the end it lies nowhere, and comes into nothing more', () => {
    const steps = [...out, step(3, 'slice', 165, { pieces: [3], figures: { all: true } })]
    expect(of(lifeOf(steps), 3)).toMatchObject({ goneAtMs: hour(165), goneWhy: 'sliced', slicedAtMs: hour(165) })
    expect(lifeOf(steps).cureEndedAtMs).toBe(hour(160))
    expect(refusalOf([...steps, step(4, 'rest', 170, { pieces: [3], toMs: null })])).toMatchObject({ code: 'sliced' })
  })
  it('in a stack its parts lie in its layer', () => {
    const life = lifeOf([step(1, 'rub', 0, { figures: { spots: {}, face: null, stacked: true } }), cut(2, 20, 2, [21, 22])])
    expect(life.pieces.filter(piece => piece.layer !== null).toSorted((a, b) => a.layer! - b.layer!).map(piece => piece.pieceId))
      .toEqual([1, 21, 22, 3])
    expect(life.pieces.map(piece => piece.layer).filter(layer => layer !== null).toSorted()).toEqual([1, 2, 3, 4])
  })
  it('hung, one hook holds none of two parts, and a piece without its rind stays on it', () => {
    const hung = [...out, step(3, 'hang', 161, { toMs: null, placeId: GARAGE, figures: { spots: { 3: 'hook 4' } } })]
    expect(of(lifeOf([...hung, cut(4, 170)]), 31)).toMatchObject({ stage: 'hang', placeId: GARAGE, spot: null })
    expect(of(lifeOf([...hung, cut(4, 170, 3, [31])]), 31).spot).toBe('hook 4')
  })
  it('told in whatever order, gives one state', () => {
    const steps = [...out, cut(3, 164), step(4, 'move', 166, { pieces: [31], placeId: GARAGE }), step(5, 'dry', 168, {
      pieces: [1, 2, 32], toMs: null,
    }), cut(6, 169, 32, [33, 34])]
    const told = foldLife(steps)
    fc.assert(
      fc.property(fc.shuffledSubarray(steps, { minLength: steps.length }), (shuffled) => {
        expect(foldLife(shuffled)).toEqual(told)
      }),
    )
  })
  it('"all" are those that were pieces then, and a part stands for what it was cut from', () => {
    const life = lifeOf([...out, cut(3, 164)])
    expect(piecesFor(life, 'look', hour(163))).toEqual([1, 2, 3])
    expect(piecesFor(life, 'look', hour(164))).toEqual([1, 2, 31, 32])
    expect(piecesThen(life, [31, 32, 1], hour(100))).toEqual([3, 1])
    expect(piecesThen(life, [31], hour(164))).toEqual([31])
  })
  it('what was told of it counts for each part', () => {
    const rub = step(1, 'rub', 0, { figures: { spots: { 3: 'bag 2' }, face: null } })
    const steps = stepsOfParts([rub, step(2, 'drain', 30), cut(3, 40)], ids =>
      ids.flatMap(id => (id === 3 ? [31, 32] : [id])),
    )
    expect(steps.map(one => [one.kind, one.pieces])).toEqual([['rub', [1, 2, 31, 32]], ['drain', [1, 2, 31, 32]]])
    expect(steps[0]!.figures).toMatchObject({ spots: { 31: 'bag 2', 32: 'bag 2' } })
  })
})
