import { worstCaseG } from '#core/cure/ppm-interval'
import type { FiguresOfStep } from '#core/life/step'
import { drainedG, type LiquidTold } from '#core/retained/drained'
import { MS_PER_MINUTE, type Grams, type Milliseconds } from '#core/units/quantities'
import type { StepInput } from '#shared/contracts/steps'
import type { NewStep } from './lay-steps'
import { hookName } from './refuse-hang'

type Told = Extract<StepInput, { kind: 'drain' }>['liquid'] & {}

const liquidOf = (told: Told): LiquidTold =>
  told.told === 'weighed' ? { netG: told.weight.netG } : told.told === 'ml' ? { ml: told.ml } : { rough: told.rough }

/** What a lot's figures are worked out with: `syrup` in the cure makes its brine heavier; what the meat's scale reads to. */
interface OfLot {
  syrup: boolean
  readabilityG: Grams
  /** Which a put is. */
  application?: number | undefined
  /** What a cut came to. */
  cut?: FiguresOfStep['cut'] | undefined
}

/** From when to when a step was, by the hour that was told: the end of what is over, else the beginning. */
export function spanOf(step: StepInput, atMs: Milliseconds): { fromMs: Milliseconds; toMs: Milliseconds | null } {
  if (step.kind === 'hang') return { fromMs: atMs, toMs: null }
  if (!('minutes' in step)) return { fromMs: atMs, toMs: atMs }
  return step.minutes === null
    ? { fromMs: atMs, toMs: null }
    : { fromMs: atMs - step.minutes * MS_PER_MINUTE, toMs: atMs }
}

/** What a step that was told says, as it is laid down. */
export function newStep(step: StepInput, { syrup, readabilityG, application = 0, cut }: OfLot): Omit<NewStep, 'pieces'> {
  switch (step.kind) {
    case 'turn':
      return { kind: 'turn', figures: { how: step.how, face: step.face, ...(step.order && { order: step.order }) } }
    case 'drain': {
      const drained = step.liquid === null ? null : drainedG(liquidOf(step.liquid), { syrup })
      const { how, back, saltLies, tookSalt } = step
      return { kind: 'drain', figures: { how, drained, back, saltLies, tookSalt } }
    }
    case 'weigh': {
      const { netG, readings } = step.weight!
      const offG = worstCaseG({ readabilityG, readings })
      return { kind: 'weigh', figures: { what: 'meat', netG, offG, saltLies: step.saltLies } }
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
          surface: step.surface,
          mould: step.mould,
          photoId: step.photoId,
        },
      }
    case 'move':
      return { kind: 'move', placeId: step.placeId, figures: { spot: step.spot, ...(step.order && { order: step.order }) } }
    case 'out':
      return { kind: 'out', figures: { rinses: step.rinses } }
    case 'soak': {
      const { litres, water, changes } = step
      return { kind: 'soak', figures: { litres, waterC: water?.tempC ?? null, changes } }
    }
    case 'fry_test':
      return { kind: 'fry_test', figures: { salt: step.salt, verdict: step.verdict } }
    case 'add': {
      const unweighed = step.parts.some(part => part.weighed === null)
      return { kind: 'add', figures: { application, face: step.face, readabilityG, unweighed } }
    }
    case 'flavour': {
      const unweighed = step.parts.some(part => part.weighed === null)
      return { kind: 'flavour', figures: { how: step.how, readabilityG, unweighed } }
    }
    case 'cut':
      return { kind: 'cut', figures: cut! }
    case 'hang': {
      const spots = Object.fromEntries(step.hooks.map(({ piece, hook }) => [piece, hookName(hook)]))
      return { kind: 'hang', placeId: step.placeId, figures: { spots } }
    }
    case 'take':
      return { kind: 'take', figures: { why: step.why } }
    case 'humidity':
      return { kind: 'humidity', figures: { percent: step.percent } }
    case 'dry':
      return { kind: 'dry', placeId: step.placeId, figures: { how: step.how } }
    case 'rest':
      return { kind: 'rest', placeId: step.placeId, figures: { how: step.how } }
  }
}
