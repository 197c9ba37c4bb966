import { labResultInput } from '#shared/contracts/rub'
import { recipeInput } from '#shared/contracts/recipes'
import { layCard } from '../services/cards/cards'
import { recordLabResult } from '../services/lots/after-rub'
import { reviseRecipe } from '../services/recipes/recipes'
import type { Scene } from './scene'

/** A revised recipe, a laboratory's result before the loin went out, and a card laid for tomorrow. */
export function planBench(scene: Scene, who: { owner: number; maker: number }): void {
  scene.add(scene.at(-7, '16:05'), who.owner, ctx =>
    recordLabResult(
      ctx,
      scene.code('loin 1'),
      labResultInput.parse({
        residual: '41',
        laboratory: 'Fenwater Laboratory',
        report: 'FW-2291',
        sampledOn: scene.day(-8),
      }),
    ),
  )
  scene.add(
    scene.at(-5, '20:30'),
    who.owner,
    async (ctx) => {
      const recipe = await ctx.tables.recipes.the({ name: 'Orchard streaky' })
      const [latest] = await ctx.tables.recipeRevisions.find(
        { recipeId: recipe.id },
        { order: [['number', 'DESC']], limit: 1 },
      )
      return reviseRecipe(
        ctx,
        recipe.code,
        recipeInput.parse({
          recipe: { ...latest!.content, sugarShare: 0.016 },
          note: 'less sweet next time, said two at the tasting',
        }),
      )
    },
    undefined,
    'Office laptop',
  )
  scene.add(
    scene.at(-1, '20:50'),
    who.owner,
    (ctx) => {
      const meatCode = scene.code('bellies D')
      return layCard(ctx, {
        code: null,
        draft: {
          meatCode,
          cut: 'belly',
          rind: 'off',
          pieces: [
            { meatCode, weight: '2.31 kg', group: 'A' },
            { meatCode, weight: '2.06 kg', group: 'B' },
          ],
          saltShare: '2.5',
          sugarShare: '1',
          targetPpm: 150,
          note: 'for the Saturday market',
        },
      })
    },
    'card',
    'Office laptop',
  )
}
