import { sumOf } from '#core/lists/sum-of'
import type { Formulation } from '#core/cure/formulate'
import { forbidsRubbing } from '#core/rules/judge-nitrite'
import type { Judgement } from '#shared/contracts/judgement'
import type { RubInput } from '#shared/contracts/rub'
import { judgeLot } from '#shared/judging/judge-lot'
import { lotQuestion, toComeAfter } from '#shared/judging/lot-question'
import { refuse, type Answer } from '../context'
import type { Checked } from './check-rub'
import { firstShareOf } from './first-share'
import { refuseSalt } from './refuse-salt'
import { refuseVerdict } from './refuse-verdict'

/** The verdict on what was really weighed. Above a limit, or not shown to be below it, there is none: refused. */
export function judgeRub(input: RubInput, checked: Checked, plan: Formulation): Answer<Judgement> {
  const { parts, agent, limits, view, meatScale, mixScale } = checked
  const firstShare = firstShareOf(input)
  const judgement = judgeLot(
    lotQuestion({
      rules: checked.rules,
      cut: input.cut,
      rind: input.rind,
      method: input.method,
      choiceId: input.choiceId,
      house: view.house,
      confirmed: view.confirmed,
      agent,
      pieces: input.pieces.map(piece => ({ massG: piece.weight.netG, readings: piece.weight.readings })),
      meatReadabilityG: meatScale.readability,
      mixReadabilityG: mixScale.readability,
      applied: parts.map(part => ({
        role: part.role,
        massG: part.weighedG,
        shared: part.seasoning === null || input.seasonings[part.seasoning]!.pieces === null,
      })),
      // Half now: the rest counts as planned until it is weighed.
      toCome: toComeAfter(plan, firstShare),
      weighedBackG: input.weighedBack?.netG ?? 0,
      waterG: input.water?.netG ?? 0,
      ...(input.mostPickUp ? { mostPickUp: input.mostPickUp } : {}),
    }),
  )
  if (!judgement) return refuse('no_rule', { cut: input.cut }, ['cut'])
  if (forbidsRubbing(judgement.status)) return refuseVerdict(judgement.status, judgement)
  const salt = refuseSalt(input, parts, { plan, agent, share: firstShare })
  if (salt) return salt
  if (judgement.nitrate && judgement.nitrate.ppm > judgement.nitrate.maxPpm)
    return refuse('nitrate_above_limit', { ...judgement.nitrate, source: limits.nitrateSource }, ['agent', 'weighed'])
  if ((input.weighedBack?.netG ?? 0) >= sumOf(parts, part => part.weighedG))
    return refuse('weighed_back_all', {}, ['weighedBack'])
  return { ok: true, value: judgement }
}
