import { describe, expect, it } from 'vitest'
import { DEFAULT_NOTATION } from '#core/units/format'
import { CHOICE_WORDS, PRACTICE_WORDS } from '../messages/practice'
import { isRight, practiceProblems } from './problems'

const of = (key: string) => practiceProblems().find(problem => problem.key === key)!

describe('the bench problems', () => {
  it('have the answers that paper and pencil give', () => {
    const figure = (key: string) => {
      const { answer } = of(key)
      return answer.kind === 'choice' ? Number.NaN : answer.value
    }
    expect(figure('wrong_tare')).toBeCloseTo((22.7 * 62_500) / 8300, 9)
    expect(figure('equal_scoops')).toBeCloseTo((4.9 * 62_500) / 1200, 9)
    expect(figure('coarse_scale')).toBeCloseTo((3.5 * 60_000) / 1842.5, 9)
    expect(figure('take_off')).toBeCloseTo(6.3 - 4.416, 9)
    expect(
      ['no_2', 'rind_on', 'teaspoons'].map((key) => {
        const { answer } = of(key)
        return answer.kind === 'choice' && answer.right
      }),
    ).toEqual(['hold', 'no', 'cannot_tell'])
  })
  it('take an answer as a calculator rounds it, and no other', () => {
    expect([
      isRight(of('wrong_tare'), 171),
      isRight(of('wrong_tare'), 150),
      isRight(of('take_off'), 1.9),
      isRight(of('take_off'), 2.1),
      isRight(of('no_2'), 'hold'),
      isRight(of('no_2'), 'use'),
    ]).toEqual([true, false, true, false, true, false])
  })
  it('tell a story and why, with every figure', () => {
    for (const { key, figures, answer } of practiceProblems()) {
      const words = PRACTICE_WORDS[key]
      expect(`${words.story(figures, DEFAULT_NOTATION)} ${words.why(figures, DEFAULT_NOTATION)}`).not.toMatch(
        /NaN|undefined/,
      )
      if (answer.kind === 'choice')
        expect(answer.choices.every(choice => choice in CHOICE_WORDS) && answer.choices.includes(answer.right)).toBe(
          true,
        )
    }
  })
})
