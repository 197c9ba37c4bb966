import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readJson } from './json-text'

describe('readJson', () => {
  it('reads what JSON.parse reads, however often and however long', () => {
    fc.assert(
      fc.property(fc.json(), (text) => {
        expect(readJson(text)).toEqual(JSON.parse(text))
        expect(readJson(text)).toEqual(JSON.parse(text))
      }),
    )
    const long = JSON.stringify(Array.from({ length: 5000 }, (_, i) => i))
    expect(readJson(long)).toHaveLength(5000)
  })

  it('lets nobody change what another row says as well', () => {
    const said = readJson('{"pieces":[1,2],"how":"turned"}') as { pieces: number[]; how: string }
    expect(() => said.pieces.push(3)).toThrow(TypeError)
    expect(() => (said.how = 'stirred')).toThrow(TypeError)
    expect(readJson('{"pieces":[1,2],"how":"turned"}')).toEqual({ pieces: [1, 2], how: 'turned' })
  })

  it('still reads when more different texts came than it keeps', () => {
    for (let i = 0; i < 5000; i++) expect(readJson(`[${i}]`)).toEqual([i])
  })

  it('throws on what is no JSON, each time', () => {
    for (const _ of [1, 2]) expect(() => readJson('{"how":')).toThrow(SyntaxError)
  })
})
