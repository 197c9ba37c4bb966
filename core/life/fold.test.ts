import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { FRIDGE, GARAGE, hour, lifeOf, refusalOf, rub, SMOKER, step } from '../fixtures/life-samples'
import { foldLife } from './fold'
import type { Step } from './step'

const heat = (id: number, from: number, to: number | null, pieces = [1, 2, 3]) =>
  step(id, 'heat', from, { pieces, placeId: SMOKER, toMs: to === null ? null : hour(to) })

describe('a lot\'s life', () => {
  it('lies in the cure from its rub, in the place named', () => {
    const { pieces, cureEndedAtMs } = lifeOf([rub()])
    expect(pieces).toHaveLength(3)
    expect(pieces[0]).toMatchObject({ stage: 'cure', placeId: FRIDGE, face: 'flesh', outAtMs: null, sinceMs: hour(0) })
    expect(cureEndedAtMs).toBeNull()
  })
  it('goes from fridge to garage to fridge, out, into the smoke and back', () => {
    const [life] = lifeOf([
      rub(),
      step(2, 'move', 10, { placeId: GARAGE, figures: { spot: 'shelf 2' } }),
      step(3, 'move', 20, { placeId: FRIDGE }),
      step(4, 'out', 160),
      heat(5, 180, 186),
    ]).pieces
    expect(life!.stays).toEqual([
      { placeId: FRIDGE, stage: 'cure', fromMs: hour(0), toMs: hour(10) },
      { placeId: GARAGE, stage: 'cure', fromMs: hour(10), toMs: hour(20) },
      { placeId: FRIDGE, stage: 'cure', fromMs: hour(20), toMs: hour(160) },
      { placeId: FRIDGE, stage: 'dry', fromMs: hour(160), toMs: hour(180) },
      { placeId: SMOKER, stage: 'heat', fromMs: hour(180), toMs: hour(186) },
      { placeId: FRIDGE, stage: 'rest', fromMs: hour(186), toMs: null },
    ])
  })
  it('stays in the smoker where nobody says that it went back', () => {
    const cold = step(3, 'heat', 180, { placeId: SMOKER, toMs: hour(186), figures: { back: false } })
    expect(lifeOf([rub(), step(2, 'out', 160), cold]).pieces[0]).toMatchObject({ stage: 'rest', placeId: SMOKER })
  })
  it('a heat that ended as it began, or by a clock set back, is over', () => {
    for (const to of [180, 179])
      expect(lifeOf([rub(), step(2, 'out', 160), heat(3, 180, to)]).pieces[0]).toMatchObject({
        stage: 'rest',
        placeId: FRIDGE,
        sinceMs: hour(180),
      })
  })
  it('one heat after another begins where the first ends', () =>
    expect(lifeOf([rub(), step(2, 'out', 160), heat(3, 180, 186), heat(4, 186, null)]).pieces[0]!.stage).toBe('heat'))
  it('out and onto the rack in one press leaves no stay of no time', () => {
    const { stays } = lifeOf([rub(), step(2, 'out', 160), step(3, 'move', 160, { placeId: GARAGE })]).pieces[0]!
    expect(stays.map(stay => [stay.placeId, stay.stage])).toEqual([
      [FRIDGE, 'cure'],
      [GARAGE, 'dry'],
    ])
  })
  it('the cure is over with its last piece', () => {
    const some = [rub(), step(2, 'out', 160, { pieces: [1] }), step(3, 'out', 170, { pieces: [2] })]
    expect(lifeOf(some).cureEndedAtMs).toBeNull()
    expect(lifeOf([...some, step(4, 'out', 190, { pieces: [3] })]).cureEndedAtMs).toBe(hour(190))
  })
  it('out of the water it drips, and what begins next ends a soak that nobody ended', () => {
    const out = [rub(), step(2, 'out', 160)]
    const soak = (to: number | null) => step(3, 'soak', 161, { toMs: to === null ? null : hour(to) })
    const over = lifeOf([...out, soak(162)]).pieces[0]!
    expect(over).toMatchObject({ stage: 'dry', sinceMs: hour(162) })
    expect(over.stays.map(stay => stay.stage)).toEqual(['cure', 'dry', 'soak', 'dry'])
    expect(lifeOf([...out, soak(null)]).pieces[0]).toMatchObject({ stage: 'soak', sinceMs: hour(161) })
    const next = step(4, 'rest', 163, { toMs: null, placeId: GARAGE })
    expect(lifeOf([...out, soak(null), next]).pieces[0]).toMatchObject({ stage: 'rest', placeId: GARAGE, sinceMs: hour(163) })
    // Told as longer than it was: the next thing stands.
    expect(lifeOf([...out, soak(170), next]).pieces[0]).toMatchObject({ stage: 'rest', sinceMs: hour(163) })
  })
  it.each(['soak', 'fry_test', 'dry', 'rest'] as const)('%s comes after the cure and not in a heat', (kind) => {
    expect(refusalOf([rub(), step(2, kind, 20)])).toMatchObject({ code: 'still_curing', mend: 'tell_out' })
    expect(refusalOf([rub(), step(2, 'out', 160), heat(3, 180, 186), step(4, kind, 183)])).toMatchObject({ code: 'in_heat' })
    expect(lifeOf([rub(), step(2, 'out', 160), heat(3, 180, 186), step(4, kind, 187)]).pieces).toHaveLength(3)
  })
  it('a piece in the water is neither turned nor sliced, and can be taken out of it into the heat', () => {
    const soaked = [rub(), step(2, 'out', 160), step(3, 'soak', 161, { toMs: null })]
    expect(refusalOf([...soaked, step(4, 'slice', 162)])).toMatchObject({ code: 'in_water' })
    expect(lifeOf([...soaked, heat(4, 162, null)]).pieces[0]!.stage).toBe('heat')
  })
  it('a turn shows the other face, a massage does not, and what is said stands', () => {
    const face = (...steps: Step[]) => lifeOf([rub(), ...steps]).pieces[0]!.face
    expect(face(step(2, 'turn', 20))).toBe('fat')
    expect(face(step(2, 'turn', 20), step(3, 'turn', 40))).toBe('flesh')
    expect(face(step(2, 'turn', 20, { figures: { how: 'massaged' } }))).toBe('flesh')
    expect(face(step(2, 'turn', 20, { figures: { face: 'flesh' } }))).toBe('flesh')
  })
  it('a label goes with its place', () => {
    const named = { ...rub(), figures: { spots: { 1: 'bag 2' }, face: null } } as Step
    expect(lifeOf([named]).pieces.map(life => life.spot)).toEqual(['bag 2', null, null])
    expect(lifeOf([named, step(2, 'move', 5, { placeId: GARAGE })]).pieces[0]!.spot).toBeNull()
  })
})

describe('what cannot be', () => {
  it('before the rub', () =>
    expect(refusalOf([rub(), step(2, 'turn', -1)])).toMatchObject({ code: 'before_rub', mend: 'other_time' }))
  it('turned after it was out: both steps, and the pieces', () =>
    expect(refusalOf([rub(), step(2, 'out', 100, { pieces: [2, 3] }), step(3, 'turn', 120)])).toMatchObject({
      code: 'out_of_cure',
      first: { id: 2 },
      second: { id: 3 },
      pieces: [2, 3],
    }))
  it('told late, the same two are found: out before a turn that stands', () =>
    expect(refusalOf([rub(), step(2, 'turn', 120), step(3, 'out', 100)])).toMatchObject({
      code: 'out_of_cure',
      first: { id: 3 },
      second: { id: 2 },
    }))
  it('into the smoke out of the cure: say when it came out', () =>
    expect(refusalOf([rub(), heat(2, 100, null)])).toMatchObject({ code: 'still_curing', mend: 'tell_out' }))
  it('sliced, moved or smoked again while it is in the smoke', () => {
    const smoking = [rub(), step(2, 'out', 100), heat(3, 120, null)]
    for (const step4 of [step(4, 'slice', 121), step(4, 'move', 121, { placeId: GARAGE }), heat(4, 121, null)])
      expect(refusalOf([...smoking, step4])).toMatchObject({ code: 'in_heat', first: { id: 3 }, mend: 'tell_heat_end' })
  })
  it('rubbed a second time', () => expect(refusalOf([rub(), rub(2)])).toMatchObject({ code: 'rubbed_twice' }))
  it('a look is never out of place', () =>
    expect(foldLife([rub(), step(2, 'out', 100), heat(3, 120, null), step(4, 'look', 121)]).ok).toBe(true))
})

/** A history that can be: each piece goes its way, at instants of their own. */
const histories = fc
  .array(
    fc.record({
      piece: fc.constantFrom(1, 2, 3),
      place: fc.constantFrom(FRIDGE, GARAGE),
      what: fc.constantFrom('turn', 'drain', 'look', 'move', 'out', 'heat', 'slice'),
    }),
    { minLength: 1, maxLength: 40 },
  )
  .map((wanted) => {
    const steps: Step[] = [rub()]
    for (const [i, { piece, place, what }] of wanted.entries()) {
      const at = (i + 1) * 10
      const kind = what as 'turn'
      const next
        = what === 'heat'
          ? heat(i + 2, at, at + 5, [piece])
          : step(i + 2, kind, at, { pieces: [piece], placeId: what === 'move' ? place : null })
      if (foldLife([...steps, next]).ok) steps.push(next)
    }
    return steps
  })

describe('whatever the order of telling', () => {
  it('one history is one state', () =>
    fc.assert(
      fc.property(
        histories.chain(steps => fc.tuple(fc.constant(steps), fc.shuffledSubarray(steps, { minLength: steps.length }))),
        ([steps, shuffled]) => {
          const told = shuffled.map((one, i) => ({ ...one, id: i + 1 }) as Step)
          expect(lifeOf(told)).toEqual(lifeOf(steps))
        },
      ),
    ))
  it('told in any order, asked again while it is refused, it ends the same', () =>
    fc.assert(
      fc.property(
        histories.chain(steps => fc.tuple(fc.constant(steps), fc.shuffledSubarray(steps, { minLength: steps.length }))),
        ([steps, shuffled]) => {
          const standing: Step[] = []
          let waiting: Step[] = shuffled
          while (waiting.length > 0) {
            const refused: Step[] = []
            for (const one of waiting) {
              if (foldLife([...standing, one]).ok) standing.push(one)
              else refused.push(one)
            }
            // Some step of a history that can be always fits next.
            expect(refused.length).toBeLessThan(waiting.length)
            waiting = refused
          }
          expect(lifeOf(standing)).toEqual(lifeOf(steps))
        },
      ),
    ))
  it('told and voided is as if never told', () =>
    fc.assert(
      fc.property(histories, fc.integer({ min: 1, max: 39 }), (steps, n) => {
        const more = step(99, 'look', n * 10 + 5)
        const without = [...steps, more].filter(one => one.id !== more.id)
        expect(lifeOf(without)).toEqual(lifeOf(steps))
      }),
    ))
  it('stays lie end to end, from the rub to now, and none is empty', () =>
    fc.assert(
      fc.property(histories, (steps) => {
        for (const { stays, stage, placeId } of lifeOf(steps).pieces) {
          expect(stays[0]!.fromMs).toBe(hour(0))
          expect(stays.at(-1)).toMatchObject({ toMs: null, stage, placeId })
          for (const [i, one] of stays.slice(0, -1).entries()) {
            expect(one.toMs).toBe(stays[i + 1]!.fromMs)
            expect(one.toMs).toBeGreaterThan(one.fromMs)
          }
        }
      }),
    ))
  it('whatever is refused names what it rests on, and a way out', () =>
    fc.assert(
      fc.property(
        histories,
        fc.constantFrom('turn', 'drain', 'move', 'out', 'slice'),
        fc.integer({ min: -2, max: 41 }),
        (steps, kind, n) => {
          const folded = foldLife([...steps, step(99, kind, n * 10 + 3)])
          if (folded.ok) return
          const { first, second, code, pieces, mend } = folded.contradiction
          expect(pieces.length).toBeGreaterThan(0)
          expect(mend).not.toBe('')
          expect(code === 'before_rub' ? first === null : first!.fromMs <= second.fromMs).toBe(true)
          // One of the two is what was told.
          expect([first?.id, second.id]).toContain(99)
        },
      ),
    ))
})
