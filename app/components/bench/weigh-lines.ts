import type { Grams } from '#core/units/quantities'
import type { BenchDraft } from './bench-draft'
import type { Bench } from './use-bench'

export interface WeighLine {
  key: string
  name: string
  code: string | null
  massG: Grams
  weighed: string
  poison: boolean
}

/** What to put on the scale, in order: curing salt first, then salt, sugar, seasonings. Only what this cure takes. */
export function weighLines(draft: BenchDraft, bench: Bench): WeighLine[] {
  const made = bench.made.value
  if (!made) return []
  const now = (massG: Grams) => massG * bench.firstShare.value
  const agent = bench.agentLot.value
  return [
    ...(agent
      ? [
          {
            key: 'agent',
            name: agent.kind === 'mix' ? agent.name : 'Curing salt',
            code: agent.code,
            massG: now(made.agentG),
            weighed: draft.agent.weighed,
            poison: true,
          },
        ]
      : []),
    ...(made.saltG > 0
      ? [
          {
            key: 'salt',
            name: 'Salt',
            code: bench.saltLot.value?.code ?? null,
            massG: now(made.saltG),
            weighed: draft.salt.weighed,
            poison: false,
          },
        ]
      : []),
    ...(made.sugarG > 0
      ? [
          {
            key: 'sugar',
            name: 'Sugar',
            code: bench.sugarLot.value?.code ?? null,
            massG: now(made.sugarG),
            weighed: draft.sugar.weighed,
            poison: false,
          },
        ]
      : []),
    ...draft.seasonings.map((s, i) => ({
      key: `seasoning-${i}`,
      name: s.name || 'Seasoning',
      code: s.lotCode || null,
      massG: made.seasonings[i]?.massG ?? 0,
      weighed: s.weighed,
      poison: false,
    })),
  ]
}

/** Puts a weight where its line came from. */
export function setWeighed(draft: BenchDraft, key: string, typed: string): void {
  if (key === 'agent' || key === 'salt' || key === 'sugar') draft[key].weighed = typed
  else draft.seasonings[Number(key.split('-')[1])]!.weighed = typed
}
