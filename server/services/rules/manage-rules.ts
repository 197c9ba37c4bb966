import { houseColumns, houseOf } from '../shop/house-of'
import type { z } from 'zod'
import type { RuleSet } from '#core/rules/rule-set'
import { SHIPPED_RULES } from '#core/rules/sets/all-rules'
import type { ownRulesInput, rulesConfirmationInput, rulesInForceInput } from '#shared/contracts/rules'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { lockShop } from '../lock-rows'
import { ruleSetById } from './rule-sets'

/** The owner has compared a rule set with the authority's current text. */
export async function confirmRules(
  ctx: WriteContext,
  input: z.output<typeof rulesConfirmationInput>,
): Promise<Answer<object>> {
  const shop = await lockShop(ctx.tables)
  const ruleSetId = input.ruleSetId ?? shop.ruleSetId
  const rules = await ruleSetById(ctx.tables, ruleSetId)
  if (!rules) return refuse('no_such_rules')
  const change = {
    confirmedBy: input.confirmedBy,
    confirmedOn: input.confirmedOn,
    reference: input.reference,
    atMs: ctx.nowMs,
  }
  const row = await ctx.tables.ruleSets.one({ ruleSetId })
  if (row) await ctx.tables.ruleSets.update(row.id, change)
  else await ctx.tables.ruleSets.insert({ ruleSetId, ...change })
  recordEvent(ctx, {
    kind: 'rules_confirmed',
    subjects: [],
    typed: input,
    computed: { ruleSetId, jurisdiction: rules.jurisdiction, rules },
  })
  return { ok: true, value: {} }
}

/**
 * Which rule set verdicts go by from now on, and the shop's own target and limits. Lots keep the one they were judged
 * by.
 */
export async function chooseRules(
  ctx: WriteContext,
  input: z.output<typeof rulesInForceInput>,
): Promise<Answer<object>> {
  const shop = await lockShop(ctx.tables)
  const rules = await ruleSetById(ctx.tables, input.ruleSetId)
  if (!rules) return refuse('no_such_rules', {}, ['ruleSetId'])
  await ctx.tables.shops.update(shop.id, {
    ruleSetId: input.ruleSetId,
    ...houseColumns(input),
  })
  recordEvent(ctx, {
    kind: 'rules_chosen',
    subjects: [],
    typed: input,
    computed: {
      jurisdiction: rules.jurisdiction,
      before: { ruleSetId: shop.ruleSetId, ...houseOf(shop) },
    },
  })
  return { ok: true, value: {} }
}

/** Writes a rule set of the shop's own, or changes one. What was confirmed before the change no longer is. */
export async function saveOwnRules(
  ctx: WriteContext,
  input: z.output<typeof ownRulesInput>,
): Promise<Answer<{ ruleSetId: string }>> {
  if (SHIPPED_RULES.some(rules => rules.id === input.ruleSetId)) return refuse('rules_shipped', {}, ['ruleSetId'])
  await lockShop(ctx.tables)
  const rows = await ctx.tables.ruleSets.find()
  const before = rows.find(row => row.ruleSetId === input.ruleSetId)
  if (input.ruleSetId !== null && !before?.own) return refuse('no_such_rules')
  const ruleSetId
    = input.ruleSetId ?? `own-${Math.max(0, ...rows.map(row => Number(/^own-(\d+)$/.exec(row.ruleSetId)?.[1] ?? 0))) + 1}`
  const { rows: lines, ruleSetId: _asked, ...head } = input
  const own: RuleSet = {
    ...head,
    id: ruleSetId,
    rows: lines.map((line, i) => ({ ...line, id: `${ruleSetId}-${i + 1}` })),
  }
  const change = { own, confirmedBy: null, confirmedOn: null, reference: null, atMs: ctx.nowMs }
  if (before) await ctx.tables.ruleSets.update(before.id, change)
  else await ctx.tables.ruleSets.insert({ ruleSetId, ...change })
  recordEvent(ctx, {
    kind: 'rules_written',
    subjects: [],
    typed: input,
    computed: { ruleSetId, before: before?.own ?? null },
  })
  return { ok: true, value: { ruleSetId } }
}
