import { drainedG, type LiquidTold } from '#core/life/drained'
import type { StepInput } from '#shared/contracts/steps'
import type { NewStep } from './lay-steps'

type Told = Extract<StepInput, { kind: 'drain' }>['liquid'] & {}

const liquidOf = (told: Told): LiquidTold =>
  told.told === 'weighed' ? { netG: told.weight.netG } : told.told === 'ml' ? { ml: told.ml } : { rough: told.rough }

/** What a step that was told says, as it is laid down; `syrup`: the cure holds some, and its brine is heavier. */
export function newStep(step: StepInput, { syrup }: { syrup: boolean }): Omit<NewStep, 'pieces'> {
  switch (step.kind) {
    case 'turn':
      return { kind: 'turn', figures: { how: step.how, face: step.face } }
    case 'drain': {
      const drained = step.liquid === null ? null : drainedG(liquidOf(step.liquid), { syrup })
      return { kind: 'drain', figures: { how: step.how, drained, back: step.back, saltLies: step.saltLies } }
    }
    case 'look':
      return {
        kind: 'look',
        figures: {
          feel: step.feel,
          colour: step.colour,
          smell: step.smell,
          liquid: step.liquid,
          spots: step.spots,
          photoId: step.photoId,
        },
      }
    case 'move':
      return { kind: 'move', placeId: step.placeId, figures: { spot: step.spot } }
    case 'out':
      return { kind: 'out', figures: { rinses: step.rinses } }
  }
}
