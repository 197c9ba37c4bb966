import { describe, expect, it } from 'vitest'
import { tellsOf, withTells } from './tells'

const read = (computed: object, kind = 'run_started') => tellsOf({ kind, computed: JSON.stringify(computed) })

describe('what a record tells of', () => {
  it('stands beside its figures, and is read back', () => {
    const computed = withTells({ runId: 7 }, { steps: [3, 4], endsSteps: [1], changesHolds: [] })
    expect(computed).toEqual({ runId: 7, tells: { steps: [3, 4], ends: [1] } })
    expect(read(computed)).toEqual({ steps: [3, 4], ends: [1] })
  })
  it('adds nothing where it tells of nothing', () => expect(withTells({ a: 1 }, {})).toEqual({ a: 1 }))
  it('of one from before is known of presses alone, which named their steps', () => {
    expect(read({ steps: [{ id: 5 }, { id: 6 }] }, 'step')).toEqual({ steps: [5, 6] })
    expect(read({ steps: [{ lot: 'L-0001' }] }, 'step')).toBeNull()
    expect(read({ runId: 7 })).toBeNull()
  })
  it('is not what somebody typed', () => expect(read({ note: '"tells":' })).toBeNull())
})
