import { z } from 'zod'
import { hookName } from '#core/places/hook-name'
import { MOST_HOOKS, MOST_PIECES } from '#core/rules/house'
import { sure } from './entries'
import { toldKind } from './told-kind'

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
)
