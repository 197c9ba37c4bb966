import type { Millimetres } from '#core/units/quantities'
import type { Plan } from '#core/plan/plan'
import { isWet } from '#core/cure/cure-method'
import { isSaltOnly, piecesOfGroup, type BenchDraft } from './bench-draft'
import { readSides } from './read-draft'

export interface Chosen {
  meatScaleId: number
  mixScaleId: number
  fridgeId: number
  agentCode: string
  saltCode: string
  sugarCode: string
  fromAgentOnly: boolean
  /** Null when what is typed is no thickness: then the contract says so. */
  thicknessMm: Millimetres | null
  span: { readyFromDay: number; bestByDay: number }
  plan: Plan
}

const orNull = <T>(typed: string, value: T): T | null => (typed.trim() === '' ? null : value)

/** The body of "Rub this lot", as typed, with what the Bench chose where nobody did. */
export function rubBody(draft: BenchDraft, chosen: Chosen) {
  const saltOnly = isSaltOnly(draft)
  return {
    cut: draft.cut,
    rind: draft.rind,
    purpose: draft.purpose,
    method: draft.method === 'salt_only' ? 'dry' : draft.method,
    choiceId: draft.choiceId,
    pieces: draft.pieces.map(({ group: _group, ...piece }) => piece),
    meatScaleId: chosen.meatScaleId,
    mixScaleId: chosen.mixScaleId,
    targets: {
      saltShare: draft.saltShare,
      sugarShare: draft.sugarShare,
      saltBasis: draft.saltBasis,
      nitritePpm: saltOnly ? '0' : String(draft.targetPpm),
    },
    agent: saltOnly ? null : { lotCode: chosen.agentCode, weighed: draft.agent.weighed },
    salt: chosen.fromAgentOnly
      ? null
      : orNull(draft.salt.weighed, { lotCode: chosen.saltCode, weighed: draft.salt.weighed }),
    sugar: chosen.fromAgentOnly
      ? null
      : orNull(draft.sugar.weighed, { lotCode: chosen.sugarCode, weighed: draft.sugar.weighed }),
    fromAgentOnly: chosen.fromAgentOnly,
    seasonings: draft.seasonings.map(s => ({
      lotCode: s.lotCode,
      weighed: s.weighed,
      per: s.per,
      amount: s.amount,
      pieces: piecesOfGroup(draft.pieces, s.group)?.map(i => i + 1) ?? null,
    })),
    firstShare: draft.method === 'two_applications' ? draft.firstShare : null,
    water: isWet(draft.method) ? draft.water : null,
    mostPickUp: draft.method === 'wet_pick_up' ? draft.mostPickUp : null,
    weighedBack: draft.method === 'excess' ? orNull(draft.weighedBack, draft.weighedBack) : null,
    saltAgain: orNull(draft.saltAgain ?? '', draft.saltAgain),
    sides: readSides(draft),
    recipeRevisionId: draft.recipe?.revisionId ?? null,
    cardCode: draft.cardCode,
    thicknessMm: chosen.thicknessMm === null ? draft.thickness : String(chosen.thicknessMm),
    readyFromDay: draft.readyFromDay ?? chosen.span.readyFromDay,
    bestByDay: draft.bestByDay ?? chosen.span.bestByDay,
    fridgeId: chosen.fridgeId,
    spot: draft.spot?.trim() || null,
    plan: chosen.plan,
    note: draft.note || null,
  }
}
