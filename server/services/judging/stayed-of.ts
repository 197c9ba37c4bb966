import { nitriteShare } from '#core/cure/agent'
import { meaningOf } from '#core/cure/cure-method'
import { worstCaseG } from '#core/cure/ppm-interval'
import { foldStanding } from '#core/life/fold-standing'
import { lotStayed, type LotStayedQuestion } from '#core/retained/lot-stayed'
import type { Step } from '#core/life/step'
import { stepsOfParts } from '#core/life/steps-of-parts'
import type { StayedJudged } from '#shared/contracts/judgement'
import type { Tables } from '../../db/database'
import { standingSteps } from '../steps/standing-steps'
import { judgeFacts } from './judge-facts'
import type { JudgingFacts, Part } from './lot-facts'

/** When a part went on: by its step, where it has one. */
const putAtMs = ({ lot }: JudgingFacts, { stepId, application, appliedAtMs }: Part, steps: readonly Step[]): number =>
  steps.find(step => step.id === stepId)?.fromMs ?? (application === 1 ? lot.rubbedAtMs : (appliedAtMs ?? lot.rubbedAtMs))

/** Ids of the pieces that a part went on; null: all. */
function putOn({ leaves }: JudgingFacts, { pieceIds, pieceNumbers }: Part): number[] | null {
  if (pieceIds !== null) return leaves.of(pieceIds)
  return pieceNumbers === null ? null : leaves.all.filter(leaf => pieceNumbers.includes(leaf.number)).map(leaf => leaf.id)
}

/**
 * What the least that stayed in a lot is worked out from. Null without nitrite. What flavours after the cure counts for
 * nothing.
 */
export async function stayedQuestion(
  tables: Tables,
  facts: JudgingFacts,
  known?: readonly Step[],
): Promise<LotStayedQuestion | null> {
  const { lot, pieces, leaves, agentBy, saltShare } = facts
  const parts = facts.parts.filter(part => part.usedFor === null)
  if (!parts.some(part => part.role === 'agent' && agentBy(part.ingredientLotId))) return null
  const { pieces: ingoing } = await judgeFacts(tables, { ...facts, parts }, { applied: true })
  const steps = known ?? (await standingSteps(tables, [lot.id])).get(lot.id) ?? []
  const judged = new Map(pieces.map((piece, i) => [piece.id, { ...piece, lowPpm: ingoing[i]!.lowPpm }]))
  return {
    method: lot.method,
    cut: lot.cut,
    sides: lot.sides,
    rubbedAtMs: lot.rubbedAtMs,
    waterG: lot.waterG ?? 0,
    thicknessMm: lot.thicknessMm,
    // What lay on one face alone came in from there.
    oneFace: lot.sides !== null && (lot.sides.flesh === 0 || lot.sides.fat === 0),
    upperBound: meaningOf(lot.method, lot.afterG !== null) === 'upper_bound',
    mixReadabilityG: lot.mixReadabilityG,
    steps: stepsOfParts(foldStanding(steps).sound, leaves.of),
    pieces: leaves.all.map(({ id, greenG }) => {
      // A part has what it was cut from, until something went on it alone; that is as far off as all of it.
      const { readings, lowPpm } = (judged.get(id) ?? judged.get(leaves.rootOf(id)))!
      return { pieceId: id, greenG, greenOffG: worstCaseG({ readabilityG: lot.meatReadabilityG, readings }), lowPpm }
    }),
    puts: parts
      .filter(part => part.weighedG > 0 || part.unweighed)
      .map((part) => {
        const agent = part.role === 'agent' ? agentBy(part.ingredientLotId) : null
        return {
          atMs: putAtMs(facts, part, steps),
          massG: part.weighedG,
          saltShare: saltShare(part.ingredientLotId),
          nitriteShare: agent ? nitriteShare(agent) : 0,
          pieces: putOn(facts, part),
          unweighed: part.unweighed ?? false,
          ...(part.readabilityG === null ? {} : { readabilityG: part.readabilityG }),
        }
      }),
  }
}

/** The least that stayed in each piece of a lot by what is told of it, or by the steps given. Null without nitrite. */
export async function stayedOf(tables: Tables, facts: JudgingFacts, known?: readonly Step[]): Promise<StayedJudged | null> {
  const question = await stayedQuestion(tables, facts, known)
  if (!question) return null
  const stayed = lotStayed(question)
  return { ...stayed, pieces: stayed.pieces.filter(piece => facts.leaves.isPiece(piece.pieceId)) }
}
