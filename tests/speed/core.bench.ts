import { bench, describe } from 'vitest'
import { CURING_SALT_NO_1 } from '#core/cure/agent'
import { formulate } from '#core/cure/formulate'
import { readTable } from '#core/readings/read-table'
import { US_RULES } from '#core/rules/sets/us-rules'
import { salmonellaLog } from '#core/smoke/salmonella-credit'
import { judgeLot } from '#shared/judging/judge-lot'

const pieces = Array.from({ length: 40 }, (_, i) => ({ massG: 1500 + 37 * i, readings: 1 as const }))
const PER = ['percent', 'g_per_kg', 'g_per_piece'] as const
/** Nine beside curing salt, salt and sugar: some for every piece, some for each other one. */
const seasonings = Array.from({ length: 9 }, (_, i) => ({
  key: `seasoning ${i}`,
  per: PER[i % 3]!,
  amount: 0.4 + i / 10,
  pieces: i % 2 ? null : pieces.map((_piece, k) => k).filter(k => k % 2 === 0),
  composition: { saltFraction: i * 0.02, sugarFraction: 0.01, waterFraction: 0 },
}))
const run = Array.from({ length: 5000 }, (_, i) => ({ atMs: i * 10_000, coreC: 5 + i * 0.0125 }))
const table = [
  ['time', 'chamber', 'core'],
  ...run.map((r, i) => [
    `2026-11-23 ${String(Math.floor(i / 360) % 24).padStart(2, '0')}:${String(Math.floor(i / 6) % 60).padStart(2, '0')}:${String(i % 6)}0`,
    '80',
    String(r.coreC),
  ]),
]

describe('core', () => {
  bench('formulation, uncertainty and verdict: 40 pieces, 12 ingredients', () => {
    const plan = formulate({
      piecesG: pieces.map(piece => piece.massG),
      agent: CURING_SALT_NO_1,
      targets: { saltShare: 0.025, saltBasis: 'total', sugarShare: 0.01, nitritePpm: 150 },
      readabilityG: 0.1,
      seasonings,
    })
    if (!plan.ok) throw new Error(plan.code)
    judgeLot({
      rules: US_RULES,
      cut: 'belly',
      rind: 'off',
      method: 'dry',
      confirmed: null,
      pieces,
      meatReadabilityG: 5,
      mixReadabilityG: 0.1,
      agent: CURING_SALT_NO_1,
      agentG: plan.value.agentG,
      mixG: plan.value.mixG,
    })
  })
  bench('Salmonella credit, 5,000 readings', () => {
    salmonellaLog(run)
  })
  bench('a logger\'s table, 5,000 rows', () => {
    readTable(table, { zone: 'America/Chicago', dayFirst: true, onDate: '2026-11-23', unit: 'C' })
  })
})
