import { describe, expect, it } from 'vitest'
import { parseAgentShare } from './parse-agent-share'

describe('a label\'s share as typed', () => {
  it.each([
    ['6.25', 0.0625],
    ['0.0625', 0.0625],
    ['6,25 %', 0.0625],
    ['6.25%', 0.0625],
    ['0.6', 0.006],
    ['0.6 %', 0.006],
    ['0.006', 0.006],
    ['0,9', 0.009],
    ['0.05 %', null],
    ['62.5', null],
    ['', null],
    ['six', null],
  ])('%s', (typed, share) => {
    const found = parseAgentShare(typed, { min: 0.1, max: 10 })
    if (share === null) expect(found.ok).toBe(false)
    else expect(found.ok && found.value).toBeCloseTo(share, 12)
  })
})
