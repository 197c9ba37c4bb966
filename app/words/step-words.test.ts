import { describe, expect, it } from 'vitest'
import type { Notation } from '../../core/units/format'
import { MS_PER_HOUR, MS_PER_MINUTE } from '../../core/units/quantities'
import type { ComputedOf } from '../../shared/contracts/records'
import type { StepInput } from '../../shared/steps/all-told'
import { pressWords } from './step-words'

const AS = { mass: 'metric', temperature: 'C', decimal: '.', dates: 'dmy' } as Notation
const told = (steps: StepInput[], lateMs = 0, pieces = [1, 2], more: Partial<ComputedOf<'step'>> = {}) =>
  pressWords(
    { steps },
    {
      happenedMs: 0,
      lateMs,
      places: { 4: 'Garage' },
      steps: steps.map(({ kind }, i) => ({ id: i, lot: 'L-0042', kind, pieces })),
      ...more,
    },
    AS,
  )
const drain = (liquid: Extract<StepInput, { kind: 'drain' }>['liquid']): StepInput => ({
  kind: 'drain',
  how: 'poured_off',
  liquid,
  back: false,
  saltLies: false,
  tookSalt: false,
  sure: false,
})

const look = (more: Partial<Extract<StepInput, { kind: 'look' }>>): StepInput => ({
  kind: 'look',
  feel: null,
  colour: null,
  smell: null,
  liquid: null,
  spots: null,
  surface: null,
  mould: null,
  photoId: null,
  note: null,
  ...more,
})

describe('a press in the book', () => {
  it('says what was done and to which pieces', () =>
    expect(told([{ kind: 'turn', how: 'turned', face: null }])).toBe('Turned. L-0042: pieces 1 and 2.'))
  it('says how much was drained as it was told', () => {
    expect(told([drain({ told: 'rough', rough: 'cup' })])).toContain('Drained: about a cup.')
    expect(told([drain({ told: 'ml', ml: 250 })])).toContain('250 mL')
    expect(told([drain(null)])).toContain('nobody saw how much')
  })
  it('says two steps of one press, and how late', () =>
    expect(
      told([{ kind: 'out', rinses: 2 }, { kind: 'move', placeId: 4, spot: 'shelf 2', sure: false }], 20 * MS_PER_MINUTE, [3]),
    ).toBe('Out of the cure, rinsed 2 times. Moved to Garage, shelf 2. L-0042: piece 3. Told 20 min later.'))
  it('says of a look what was said, and nothing else', () => {
    expect(told([look({})])).toContain('Looked at. L-0042')
    expect(told([look({ feel: 'raw', colour: 'patchy', smell: 'off', spots: 'grey', photoId: 3, note: 'left end' })])).toContain(
      'Looked at: as raw, colour patchy, smells OFF, grey spots, with a photo, “left end”.',
    )
  })
  it('says what was put on, weighed or not, and what the lot comes to', () => {
    const parts = [
      { lotCode: 'N-0003', weighed: { netG: 12, typed: '12 g' } },
      { lotCode: 'N-0009', weighed: null },
    ] as never
    const names = { 'N-0003': 'Sea salt', 'N-0009': 'House mix' }
    const add: StepInput = { kind: 'add', face: 'up', parts, scaleId: null, sure: true }
    const nitrite = [{ lot: 'L-0042', ppm: 151, lowPpm: 142, status: 'limit_not_shown', meaning: 'open' }] as const
    expect(told([add], 0, [2], { names, nitrite })).toBe(
      'More on the face that lies up: N-0003 Sea salt “12 g”, N-0009 House mix not weighed. L-0042: piece 2. '
      + 'At least 142 ppm, may be above the limit.',
    )
    const both = ['L-0042', 'L-0043'].map((lot, id) => ({ id, lot, kind: 'add' as const, pieces: [2] }))
    expect(told([add], 0, [2], { names, nitrite: [...nitrite], steps: both })).toContain('L-0042: at least 142 ppm')
    const glaze: StepInput = { kind: 'flavour', how: 'marinade', minutes: 90, parts, scaleId: null, sure: false }
    expect(told([glaze], 0, [1], { names })).toContain('In a marinade for 1 h 30 min: N-0003 Sea salt')
  })
  it('counts hours and days', () => {
    const late = (hours: number) => told([look({ feel: 'stiff' })], hours * MS_PER_HOUR)
    expect(late(3)).toContain('Looked at: stiff throughout. L-0042: pieces 1 and 2. Told 3 h later.')
    expect(late(49)).toContain('2 days')
  })
})
