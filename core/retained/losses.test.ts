import { describe, expect, it } from 'vitest'
import { MS_PER_HOUR } from '../units/quantities'
import { lossesOf } from './losses'
import type { FiguresOfStep } from '../life/kinds/all-kinds'
import type { Step } from '../life/step'

let id = 0
const step = <K extends Step['kind']>(kind: K, at: number, pieces: number[], figures: FiguresOfStep[K], placeId: number | null = null) =>
  ({ id: (id += 1), kind, pieces, placeId, fromMs: at * MS_PER_HOUR, toMs: at * MS_PER_HOUR, figures }) as Step
const rub = (spots: Record<number, string>) => step('rub', 0, [1, 2, 3], { spots, face: 'flesh' }, 1)
const drain = (at: number, pieces: number[], more: Partial<FiguresOfStep['drain']> = {}) =>
  step('drain', at, pieces, {
    how: 'poured_off',
    drained: { lowG: 60, highG: 375 },
    back: false,
    saltLies: false,
    ...more,
  })

describe('liquid that left', () => {
  it('of a bag is lost to all that lies in it, at its most', () => {
    const steps = [rub({ 1: 'bag 1', 2: 'bag 1', 3: 'bag 2' }), drain(30, [1])]
    expect(lossesOf(steps)).toEqual([
      { atMs: 30 * MS_PER_HOUR, pieces: [1, 2], highG: 375, saltLies: false, tookSalt: false, lay: true },
    ])
  })
  it('lay with the meat in a bag, and in a tub that is poured off; what drips from a rack never did', () => {
    const lay = (spot: string | null, how: 'poured_off' | 'leaked') =>
      lossesOf([rub(spot === null ? {} : { 1: spot }), drain(30, [1], { how })])[0]!.lay
    expect([lay('bag 1', 'leaked'), lay('tub A', 'poured_off'), lay('tub A', 'leaked'), lay(null, 'poured_off')])
      .toEqual([true, true, false, false])
  })
  it('of several bags counts whole against each', () => {
    const losses = lossesOf([rub({ 1: 'bag 1', 2: 'bag 1', 3: 'bag 2' }), drain(30, [1, 2, 3])])
    expect(losses.map(({ pieces, highG }) => [pieces, highG])).toEqual([[[1, 2], 375], [[3], 375]])
  })
  it('of what lies loose is lost to the pieces that were named', () =>
    expect(lossesOf([rub({}), drain(30, [2, 3])]).map(loss => loss.pieces)).toEqual([[2, 3]]))
  it('poured back did not leave', () => expect(lossesOf([rub({}), drain(30, [1], { back: true })])).toEqual([]))
  it('nobody saw, or with salt in it: says so', () =>
    expect(lossesOf([rub({}), drain(30, [1], { drained: null, tookSalt: true })])[0]).toMatchObject({
      highG: null,
      tookSalt: true,
    }))
  it('follows a piece to the tub it was moved to, in whatever order it is told', () => {
    const drained = drain(30, [1])
    const moved = step('move', 20, [1, 3], { spot: 'tub A' }, 2)
    const steps = [drained, moved, rub({ 1: 'bag 1', 2: 'bag 1', 3: 'bag 2' })]
    expect(lossesOf(steps).map(loss => loss.pieces)).toEqual([[1, 3]])
  })
  it('a tub of the same name in another place is another, and what is out lies in none', () => {
    const moved = step('move', 20, [3], { spot: 'tub A' }, 2)
    const steps = [rub({ 1: 'tub A', 2: 'tub A', 3: 'tub A' }), moved]
    expect(lossesOf([...steps, drain(30, [3])]).map(loss => loss.pieces)).toEqual([[3]])
    const out = [step('out', 25, [2], { rinses: 1 }), step('move', 26, [2], { spot: 'tub A' }, 1)]
    expect(lossesOf([...steps, ...out, drain(30, [1])]).map(loss => loss.pieces)).toEqual([[1]])
  })
  it('carried into another place a piece has left its bag', () => {
    const looked = step('look', 20, [1], { feel: null }, 2)
    const losses = lossesOf([rub({ 1: 'bag 1', 2: 'bag 1' }), looked, drain(30, [1, 2])])
    expect(losses.map(loss => loss.pieces)).toEqual([[1], [2]])
  })
  describe('what is left in the bag at the end of the cure', () => {
    const bags = rub({ 1: 'bag 1', 2: 'bag 1', 3: 'bag 2' })
    const out = (at: number, pieces: number[]) => step('out', at, pieces, { rinses: 0 })
    it('is lost to all that came out of it, and was with them until then', () => {
      const steps = [bags, out(170, [1, 2, 3]), step('dry', 171, [1, 2], { how: 'rack' }, 2), drain(172, [1])]
      expect(lossesOf(steps)).toEqual([
        { atMs: 170 * MS_PER_HOUR, pieces: [1, 2], highG: 375, saltLies: false, tookSalt: false, lay: true },
      ])
    })
    it('counts once against those of one bag, though they came out one after the other', () =>
      expect(lossesOf([bags, out(170, [2]), out(171, [1]), drain(172, [1, 2])]).map(loss => loss.pieces)).toEqual([[1, 2]]))
    it('is none of a piece that had come out before', () =>
      expect(lossesOf([bags, out(100, [2]), out(171, [1]), drain(172, [1])]).map(loss => loss.pieces)).toEqual([[1]]))
    it('of a bag that it was shut into since is lost to those that were named', () => {
      const steps = [bags, out(170, [1, 2]), step('rest', 180, [1, 2], { how: 'sealed' }, 2), drain(220, [1])]
      expect(lossesOf(steps)).toMatchObject([{ atMs: 220 * MS_PER_HOUR, pieces: [1], lay: false }])
    })
    it('of two bags counts whole against each', () =>
      expect(lossesOf([bags, out(170, [1, 2, 3]), drain(172, [2, 3])]).map(loss => loss.pieces)).toEqual([[1, 2], [3]]))
  })
})
