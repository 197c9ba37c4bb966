/**
 * What a record tells of beside its figures: the steps that it told, those that it ended, the holds whose ground it took.
 * The rows carry the record's number under no seal, because it is given after they are written; the record carries their
 * ids, under its own.
 */
export interface Tells {
  steps?: readonly number[]
  ends?: readonly number[]
  holds?: readonly number[]
}

/** A record's computed figures with what it tells of; nothing is added where it tells of none. */
export function withTells(
  computed: object,
  { steps = [], endsSteps = [], changesHolds = [] }: {
    steps?: readonly number[]
    endsSteps?: readonly number[]
    changesHolds?: readonly number[]
  },
): object {
  const tells: Tells = {
    ...(steps.length > 0 ? { steps } : {}),
    ...(endsSteps.length > 0 ? { ends: endsSteps } : {}),
    ...(changesHolds.length > 0 ? { holds: changesHolds } : {}),
  }
  return Object.keys(tells).length > 0 ? { ...computed, tells } : computed
}

/** What a record tells of, from its text; null for one from before records said so. A press has always named its steps. */
export function tellsOf({ kind, computed }: { kind: string; computed: string }): Tells | null {
  if (computed.includes('"tells":')) {
    const { tells } = JSON.parse(computed) as { tells?: Tells }
    if (tells) return tells
  }
  if (kind !== 'step') return null
  const { steps } = JSON.parse(computed) as { steps?: readonly { id?: number }[] }
  const ids = steps?.flatMap(step => step.id ?? [])
  return ids && ids.length > 0 ? { steps: ids } : null
}
