import type { z } from 'zod'
import { CURING_SALT_NO_1 } from '#core/cure/agent'
import type { ingredientInput } from '#shared/contracts/store'
import { nextCode } from '../book/next-code'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { knownFile } from '../files/keep-file'
import { partyNamed } from './parties'

const WHOLE = 1

/**
 * An ingredient comes in; curing salt brings its certificate's nitrite share, and the certificate itself where there is
 * one.
 */
export async function receiveIngredient(
  ctx: WriteContext,
  input: z.output<typeof ingredientInput>,
): Promise<Answer<{ code: string }>> {
  const certificate = input.kind === 'curing_salt' ? input.certificate : null
  if (!(await knownFile(ctx.tables, certificate?.fileId ?? null)))
    return refuse('no_such_file', {}, ['certificate', 'fileId'])
  const supplierId = await partyNamed(ctx.tables, 'supplier', input.supplier)
  const code = await nextCode(ctx.tables, 'ingredient')
  const nitriteFraction = certificate?.nitritePercent ?? 0
  const nitrateFraction = certificate?.nitratePercent ?? 0
  const sugarFraction
    = certificate?.sugarPercent
      ?? (input.kind === 'sugar'
        ? (input.composition?.sugarPercent ?? WHOLE)
        : input.kind === 'spice'
          ? (input.composition?.sugarPercent ?? 0)
          : 0)
  const saltFraction = certificate
    ? (certificate.saltPercent ?? WHOLE - nitriteFraction - nitrateFraction - sugarFraction)
    : input.kind === 'salt'
      ? WHOLE
      : input.kind === 'spice'
        ? (input.composition?.saltPercent ?? 0)
        : 0
  const made = {
    nitriteFraction,
    nitrateFraction,
    saltFraction,
    sugarFraction,
    waterFraction: input.kind === 'spice' || input.kind === 'sugar' ? (input.composition?.waterPercent ?? 0) : 0,
  }
  const ingredientLotId = await ctx.tables.ingredientLots.insert({
    code,
    kind: input.kind,
    name: input.name,
    supplierId,
    supplierLot: input.supplierLot,
    amountG: input.amount.netG,
    amountTyped: input.amount.typed,
    bestBefore: input.bestBefore,
    certificate: certificate?.number ?? null,
    certificateFileId: certificate?.fileId ?? null,
    ...made,
    nitriteAs: certificate?.nitriteAs ?? CURING_SALT_NO_1.nitriteAs,
    nitrateAs: certificate?.nitrateAs ?? 'NaNO3',
    labelTolerance: certificate?.tolerancePercent ?? 0,
    agentKind: certificate ? input.agentKind : null,
    allergens:
      input.kind === 'spice'
        ? (input.composition?.allergens ?? [])
        : certificate && input.agentKind === 'vegetable_powder'
          ? ['celery']
          : [],
    iodised: input.kind === 'salt' && input.iodised,
    receivedAtMs: ctx.nowMs,
    receivedById: ctx.actor.id,
  })
  recordEvent(ctx, {
    kind: 'ingredient_received',
    subjects: [code],
    typed: input,
    computed: { amountG: input.amount.netG, ...made, ingredientLotId },
  })
  return { ok: true, value: { code } }
}

/** The bag or tin is opened: from now on its best-before no longer holds for it closed. */
export async function openIngredient(ctx: WriteContext, code: string): Promise<Answer<object>> {
  const lot = await ctx.tables.ingredientLots.one({ code }, { lock: true })
  if (!lot) return refuse('no_such_ingredient', { code })
  if (lot.openedAtMs !== null) return refuse('already_open', { code })
  await ctx.tables.ingredientLots.update(lot.id, { openedAtMs: ctx.nowMs })
  recordEvent(ctx, { kind: 'ingredient_opened', subjects: [code], typed: {} })
  return { ok: true, value: {} }
}
