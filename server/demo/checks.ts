import { atKey } from '#core/lists/at-key'
import { MS_PER_HOUR } from '#core/units/quantities'
import { checkInput, checkListInput } from '#shared/contracts/checks'
import type { z } from 'zod'
import { addCheckList } from '../services/checks/check-lists'
import { recordCheck } from '../services/checks/record-check'
import type { Scene } from './scene'

/** What this shop looks into and cleans: the smoker and the slicer before use, the floor by itself. */
export function planPlaceChecks(scene: Scene, who: { owner: number; maker: number }): void {
  const ids = new Map<string, number>()
  const list = (atMs: number, place: string | null, input: z.input<typeof checkListInput>) =>
    scene.add(atMs, who.owner, async (ctx) => {
      const found = place === null ? null : await ctx.tables.places.one({ name: place })
      const added = await addCheckList(ctx, checkListInput.parse({ ...input, placeId: found?.id ?? null }))
      if (added.ok) ids.set(input.name, added.value.id)
      return added
    })
  const check = (atMs: number, name: string, input: z.input<typeof checkInput>) =>
    scene.add(atMs, who.maker, ctx => recordCheck(ctx, atKey(ids, name), checkInput.parse(input)))
  const before = (hours: number) => scene.nowMs - hours * MS_PER_HOUR
  list(scene.at(-10, '06:40'), 'Cold room', {
    name: 'Floor and drain',
    placeId: null,
    items: ['floor scrubbed', 'drain rinsed', 'door seal wiped'],
    asked: 'never',
    goodForHours: 168,
  })
  check(scene.at(-1, '17:20'), 'Floor and drain', {
    done: [0, 1],
    cleanedWith: 'hot water, alkaline cleaner',
    note: 'seal is torn, new one ordered',
  })
  list(before(4.2), 'Brick smoker', {
    name: 'Smoker looked into',
    placeId: null,
    items: ['drip tray empty', 'no soot over the racks', 'probe holder clean'],
    asked: 'before_heat',
    goodForHours: 48,
  })
  list(before(4.1), null, {
    name: 'Slicer',
    placeId: null,
    items: ['blade and guard washed', 'rinsed and dry', 'board changed'],
    asked: 'before_slicing',
    goodForHours: 12,
  })
  check(before(4), 'Smoker looked into', { done: [0, 1, 2], cleanedWith: null, note: null })
  check(before(3.9), 'Slicer', { done: [0, 1, 2], cleanedWith: 'hot water, quaternary rinse', note: null })
}
