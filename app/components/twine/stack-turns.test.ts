import { expect, it } from 'vitest'
import { addDays, instantOf } from '#core/calendar/local-day'
import { lotKnots } from '#core/turning/lot-knots'
import { stacksOf } from '#core/turning/stack'
import type { LotPiece } from '#shared/contracts/lots'
import { stackTurns, stackWords } from './stack-turns'

const ZONE = 'Europe/Amsterdam'
const on = (day: number, time: string) => instantOf(addDays('2026-11-02', day), time, ZONE)
const pieces = [1, 2, 3].map(number => ({
  id: number,
  number,
  label: String(number),
  placeId: 1,
  spot: null,
  face: 'flesh',
  layer: number,
  stackTurns: 0,
  outAtMs: null,
})) as unknown as LotPiece[]
const twine = (day: number, everyDays: number) => ({
  day,
  ...lotKnots(
    {
      rubbedOn: '2026-11-02',
      rubbedAtMs: on(0, '10:00'),
      zone: ZONE,
      rhythm: [{ fromDay: 0, everyDays, how: 'turned' }],
      turnBy: '18:00',
      bestByDay: 14,
      cureEndedAtMs: null,
      turns: [],
      pieces,
    },
    on(day, '09:00'),
  ),
})

it('draws what lies, and the next two turns by the twine', () => {
  const then = stackTurns(stacksOf(pieces)[0]!, twine(1, 1), on(1, '09:00'))
  expect(then.map(({ label, move }) => [label, move])).toEqual([
    ['lies now', null],
    ['today', '3 to the bottom, all over'],
    ['tomorrow', '2 to the bottom, all over'],
  ])
  expect(then.map(one => one.pieces.map(piece => piece.label))).toEqual([['1', '2', '3'], ['3', '2', '1'], ['2', '3', '1']])
  expect(then.map(one => one.pieces[0]!.face)).toEqual(['flesh', 'fat', 'flesh'])
  expect(stackWords(then)).toContain('Today 3 to the bottom, all over: 3, 2 and 1.')
})
it('by another rhythm, on its days', () => {
  expect(stackTurns(stacksOf(pieces)[0]!, twine(1, 2), on(1, '09:00')).map(one => one.label)).toEqual(['lies now', 'tomorrow', 'day 4'])
  expect(stackTurns(stacksOf(pieces.slice(0, 1))[0]!, twine(1, 1), on(1, '09:00'))[1]!.move).toBe('over')
})
