import { z } from 'zod'
import { wordList } from '#core/lists/word-list'
import { hookName } from '#core/places/hook-name'
import { MOST_HOOKS, MOST_PIECES } from '#core/rules/house'
import { sure } from './entries'
import { toldKind } from './told-kind'
import { inPlace } from './told-words'

/** Hung to dry by weight, until the next thing ends it; the hook of each piece, where somebody said. */
export const hang = toldKind(
  z
    .strictObject({
      kind: z.literal('hang'),
      placeId: z.int().positive(),
      hooks: z
        .array(z.strictObject({ piece: z.int().positive(), hook: z.int().min(1).max(MOST_HOOKS) }))
        .max(MOST_PIECES)
        .default([]),
      sure: sure(),
    })
    .refine(({ hooks }) => new Set(hooks.map(one => one.hook)).size === hooks.length, { error: 'hook_twice', path: ['hooks'] })
    .refine(({ hooks }) => new Set(hooks.map(one => one.piece)).size === hooks.length, { error: 'piece_twice', path: ['hooks'] }),
  ({ placeId, hooks }) => ({
    placeId,
    figures: { spots: Object.fromEntries(hooks.map(({ piece, hook }) => [piece, hookName(hook)])) },
  }),
  {
    done: 'hung to dry',
    told: ({ placeId, hooks }, of) =>
      `Hung to dry${inPlace(placeId, of)}${hooks.length > 0 ? `, hooks ${wordList(hooks.map(one => one.hook))}` : ''}`,
    asks: { hang: { verb: 'Hung: ', menu: { after: 'Hang to dry…', hangs: 'On another hook…' } } },
  },
)
