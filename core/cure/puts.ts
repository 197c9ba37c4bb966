import { sumOf } from '../lists/sum-of'
import type { Fraction } from '../units/quantities'
import { nitriteShare, type CuringAgent } from './agent'
import type { CureWeighed, PutWeighed } from './cure-weighed'
import type { AgentReading } from './ppm-interval'

/** Pieces on which the same went: their places, and whether more went on them that nobody weighed. */
export interface Load {
  /** Null: the whole lot. */
  pieces: readonly number[] | null
  open: boolean
}

/** Everything with nitrite that went on, the rub first. */
export const putsOf = (cure: CureWeighed): PutWeighed[] => [
  {
    agent: cure.agent,
    agentG: cure.agentG,
    agentReadings: cure.agentReadings ?? 1,
    mixG: cure.mixG,
    readabilityG: cure.mixReadabilityG,
    pieces: null,
  },
  ...(cure.adds ?? []),
]

const everyPiece = (cure: CureWeighed): number[] => cure.pieces.map((_, i) => i)

/** The lot by what went on alike: one load, unless something went on some pieces alone. */
export function loadsOf(cure: CureWeighed): Load[] {
  const apart = (cure.adds ?? []).flatMap(put => (put.pieces === null || put.agentG === 0 ? [] : [put.pieces]))
  const open = new Set(cure.unweighed)
  const byKey = new Map<string, number[]>()
  for (const i of everyPiece(cure)) {
    const key = `${apart.map(pieces => (pieces.includes(i) ? 1 : 0)).join('')} ${open.has(i)}`
    byKey.set(key, [...(byKey.get(key) ?? []), i])
  }
  const loads = [...byKey.values()]
  return loads.map(pieces => ({ pieces: loads.length > 1 ? pieces : null, open: open.has(pieces[0]!) }))
}

/** Share of the mix that stayed on: 1, less what was weighed back, at the mix's own composition. */
export const keptShare = (cure: CureWeighed): Fraction => {
  const mixG = sumOf(putsOf(cure), put => put.mixG)
  return cure.method === 'excess' && mixG > 0 ? Math.max(0, 1 - (cure.weighedBackG ?? 0) / mixG) : 1
}

export const toleranceOf = (agent: CuringAgent): Fraction =>
  (agent.labelTolerance * nitriteShare(agent)) / agent.nitriteFraction

/**
 * What of each put lies on some pieces, and how far it may be off: the put's own reading in proportion, and once more for
 * each share that was weighed out. `pieces` null: all of them, whose shares come to the whole again.
 */
export function agentsOn(cure: CureWeighed, pieces: readonly number[] | null): AgentReading[] {
  const kept = keptShare(cure)
  // What was shaken off is a second reading on the mixing scale; only its curing salt counts.
  const backReadings = (put: PutWeighed) => (cure.weighedBackG && put.mixG > 0 ? put.agentG / put.mixG : 0)
  const greenG = (ids: readonly number[]) => sumOf(ids, i => cure.pieces[i]!.massG)
  return putsOf(cure).map((put): AgentReading => {
    const onto = put.pieces ?? everyPiece(cure)
    const here = pieces === null ? onto : onto.filter(i => pieces.includes(i))
    const label = { share: nitriteShare(put.agent), shareTolerance: toleranceOf(put.agent) }
    if (here.length === onto.length && pieces === null) {
      const readings = put.agentReadings + backReadings(put)
      return { massG: put.agentG * kept, readabilityG: put.readabilityG, readings, ...label }
    }
    const share = onto.length > 0 ? greenG(here) / greenG(onto) : 0
    const weighedOut = put.mixG > 0 ? (here.length * put.readabilityG * put.agentG) / put.mixG : 0
    return {
      massG: put.agentG * kept * share,
      readabilityG: weighedOut + put.readabilityG * put.agentReadings * share,
      readings: 1,
      ...label,
    }
  })
}
