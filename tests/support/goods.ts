import type { Client, Reply } from './client'

export const GOOD = { smell: 'good', colour: 'good', fat: 'good', evenness: 'good' }
export const meatLine = (more: Record<string, unknown> = {}) => ({
  supplierLot: 'NF-1',
  cut: 'belly',
  rind: 'off',
  weight: '20 kg',
  temperature: { typed: '2.5', unit: 'C' },
  packDate: '2026-11-20',
  checks: GOOD,
  decision: 'take',
  reason: null,
  ...more,
})
export const delivery = (lines: unknown[] = [meatLine()], more: Record<string, unknown> = {}) => ({
  supplier: 'North Farm',
  document: null,
  note: null,
  lines,
  ...more,
})
/** A delivery of one cut. */
export const meat = (line: Record<string, unknown> = {}, more: Record<string, unknown> = {}) =>
  delivery([meatLine(line)], more)
/** Takes one cut in; answers with its code. */
export async function receive(client: Client, line: Record<string, unknown> = {}): Promise<string> {
  const reply = await client.post('/api/deliveries', meat(line))
  if (reply.status !== 200) throw new Error(JSON.stringify(reply.body))
  return reply.body.meatCodes[0]
}
export const ingredient = (kind: string, more: Record<string, unknown> = {}) => ({
  kind,
  name: kind,
  supplier: 'Dry Goods',
  supplierLot: `${kind}-1`,
  amount: '5 kg',
  bestBefore: '2027-11-01',
  certificate:
    kind === 'curing_salt'
      ? { number: 'C-1', nitritePercent: '6.25', nitriteAs: 'NaNO2', tolerancePercent: '0.25' }
      : null,
  ...more,
})

export interface Stock {
  meat: string
  agent: string
  salt: string
  sugar: string
  meatScaleId: number
  mixScaleId: number
  fridgeId: number
}

const codeOf = (reply: Reply): string => {
  if (reply.status !== 200) throw new Error(JSON.stringify(reply.body))
  return reply.body.code
}

/** One delivery and the three dry goods. */
export async function stock(client: Client, more: Record<string, unknown> = {}): Promise<Stock> {
  const codes = {
    meat: await receive(client, more),
    agent: codeOf(await client.post('/api/ingredients', ingredient('curing_salt'))),
    salt: codeOf(await client.post('/api/ingredients', ingredient('salt'))),
    sugar: codeOf(await client.post('/api/ingredients', ingredient('sugar'))),
  }
  const bench = (await client.get('/api/bench')).body
  const scale = (purpose: string) => bench.scales.find((s: { purpose: string }) => s.purpose === purpose).id
  return { ...codes, meatScaleId: scale('meat'), mixScaleId: scale('mix'), fridgeId: bench.places[0].id }
}

/** A lot of two pieces, 3.84 kg, at about 150 ppm: 9.2 g of no. 1. */
export const rub = (s: Stock, more: Record<string, unknown> = {}) => ({
  cut: 'belly',
  rind: 'off',
  method: 'dry',
  pieces: [
    { meatCode: s.meat, weight: '1840' },
    { meatCode: s.meat, weight: '2.00 kg' },
  ],
  meatScaleId: s.meatScaleId,
  mixScaleId: s.mixScaleId,
  targets: { saltShare: '2.5', sugarShare: '1', saltBasis: 'total', nitritePpm: '150' },
  agent: { lotCode: s.agent, weighed: '9.2' },
  salt: { lotCode: s.salt, weighed: '87.4' },
  sugar: { lotCode: s.sugar, weighed: '38.4' },
  thicknessMm: '40',
  readyFromDay: 7,
  bestByDay: 14,
  fridgeId: s.fridgeId,
  note: null,
  ...more,
})

export const celsius = (typed: string) => ({ typed, unit: 'C' })
