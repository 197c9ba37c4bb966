import { effectScope, nextTick, ref, type Ref } from 'vue'
import { describe, expect, it } from 'vitest'
import { isChosen, toggleChosen, useChosen } from './use-chosen'

/** A row of a lot's pieces, as it stands in one place. */
function rowOf(code: string, ids: Ref<number[]>) {
  const scope = effectScope()
  return { chosen: scope.run(() => useChosen(() => code, () => ids.value))!, leave: () => scope.stop() }
}

describe('pieces that were chosen', () => {
  it('are the same for the row and for the drawing', () => {
    const row = rowOf('L-0001', ref([1, 2]))
    toggleChosen('L-0001', [2])
    expect(row.chosen.value).toEqual([2])
    row.chosen.value = [1]
    expect([isChosen('L-0001', 1), isChosen('L-0001', 2), isChosen('L-0002', 1)]).toEqual([true, false, false])
    row.leave()
    expect(isChosen('L-0001', 1)).toBe(false)
  })
  it('of two places stay apart, and what is moved is chosen in neither', async () => {
    const [here, there] = [ref([1, 2]), ref([3])]
    const [room, garage] = [rowOf('L-0001', here), rowOf('L-0001', there)]
    room.chosen.value = [1, 2]
    garage.chosen.value = [3]
    expect(room.chosen.value).toEqual([1, 2])
    here.value = [2]
    there.value = [3, 1]
    await nextTick()
    expect([room.chosen.value, garage.chosen.value]).toEqual([[2], [3]])
    room.leave()
    garage.leave()
  })
  it('all together are let go of by one tap more', () => {
    toggleChosen('L-0003', [1, 2])
    toggleChosen('L-0003', [1, 2, 3])
    expect([1, 2, 3].every(id => isChosen('L-0003', id))).toBe(true)
    toggleChosen('L-0003', [1, 2, 3])
    expect(isChosen('L-0003', 1)).toBe(false)
  })
})
