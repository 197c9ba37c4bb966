import type { HouseSettings } from './house-settings'
import type { CheckInput } from './checks'
import type { Celsius, Grams, Milliseconds, Ppm } from '#core/units/quantities'
import type { Formulation } from '#core/cure/formulate'
import type { SmokeOutcome } from '#core/smoke/outcome'
import type { PlaceKind } from '#core/places/place-kind'
import type { CureMethod, PpmMeaning } from '#core/cure/cure-method'
import type { NitriteStatus } from '#core/rules/judge-nitrite'
import type { RuleSet } from '#core/rules/rule-set'
import type { EventKind } from './event-kinds'
import type { HoldReason } from './holds'
import type { Judgement } from './judgement'
import type { Plan } from '#core/plan/plan'
import type { LotNotShownWhy } from '#core/retained/lot-stayed'
import type { StepKind } from '#core/life/kinds/all-kinds'
import type { ReturnDecision } from './returns'
import type { StepInput, ToldKind } from '../steps/all-told'
import type { MeatState } from './store'

/** What was typed, beside what it means. */
interface Typed {
  typed: string
}
interface Person {
  person: string
}
interface Station {
  station: string
}
/** Judged anew: the lot's verdict now. Masses in grams, ppm ingoing nitrite. */
interface Judged {
  judgement: Judgement
  lotId: number
}

/**
 * What a record of each kind holds. `typed` is what every record of the kind says, as it was typed; a record may hold
 * more of what its form had. `computed` is what was worked out and which rows were written. `since` is computed too,
 * but records from before a version lack it. Writer (`recordEvent`), taker-back (`takeBack`) and teller (`eventWords`)
 * all read this one map.
 */
export type RecordOf = OfEveryKind<{
  shop_opened: {
    typed: { shopName: string; zone?: string; ruleSetId?: string; owner?: object }
    computed: None
    since: { starters: readonly string[] }
  }
  person_added: { typed: { name: string; role: string }; computed: None }
  person_changed: {
    typed: { name: string; role: string; active: boolean }
    computed: { before: { name: string; initials: string; role: string; active: boolean } }
  }
  password_reset: { typed: Person; computed: None }
  password_changed: { typed: Person; computed: None }
  pin_chosen: { typed: Person; computed: None }
  password_rehashed: { typed: Person; computed: None }
  recovery_code_used: { typed: Person; computed: { left: number } }
  second_factor_set: { typed: Person; computed: None }
  second_factor_dropped: { typed: Person; computed: None }
  name_closed: { typed: { signIn: string }; computed: { address: string; minutes: number } }
  shop_exported: { typed: object; computed: None }
  device_ended: { typed: Station; computed: None }
  own_device_ended: { typed: Station; computed: None }
  calendar_linked: { typed: Person; computed: None }
  calendar_ended: { typed: Person; computed: None }
  rules_confirmed: {
    typed: { confirmedBy: string; confirmedOn: string; reference: string }
    computed: None
    since: { ruleSetId: string; jurisdiction: string; rules: RuleSet }
  }
  rules_chosen: {
    typed: { targetPpm: Ppm }
    computed: {
      jurisdiction: string
      /** Settings that there were then. */
      before: { ruleSetId: string } & Partial<HouseSettings>
    }
  }
  rules_written: {
    typed: { jurisdiction: string; rows: readonly unknown[] }
    computed: { ruleSetId: string; before: RuleSet | null }
  }
  /** Written by the first version only. */
  scale_added: { typed: { name: string; readabilityG: Grams }; computed: None }
  instrument_added: { typed: { kind: string; name: string }; computed: { id: number } }
  instrument_changed: {
    typed: { name: string; everyDays: number; inUse: boolean }
    computed: { id: number; before: { name: string; everyDays: number; inUse: boolean } }
  }
  instrument_checked: {
    typed: object
    /** `error` and `allowed` in grams for a scale, in °C for a thermometer. */
    computed: {
      checkId: number
      instrumentId: number
      instrument: string
      is: string
      error: number
      allowed: number
      passed: boolean
      offsetC: Celsius
    }
  }
  fridge_added: { typed: { name: string }; computed: { id: number } }
  fridge_changed: {
    typed: { name: string }
    computed: { id: number; before: { name: string; thermometerId: number | null } }
  }
  fridge_read: {
    typed: { fridge: string; temperature: string }
    computed: { readC: Celsius; tempC: Celsius; fridgeId: number }
    since: { readingId: number; thermometerId: number | null; offsetC: Celsius }
  }
  place_added: { typed: { name: string; kind: PlaceKind }; computed: { id: number; code: string } }
  place_changed: { typed: { name: string; kind: PlaceKind; inUse: boolean }; computed: { id: number; before: { name: string } } }
  piece_tagged: { typed: { tag: string | null }; computed: { pieceId: number; number: number | string; before: string | null } }
  check_list_added: { typed: { name: string; items: readonly string[] }; computed: { id: number } }
  check_list_changed: {
    typed: { name: string; items: readonly string[]; inUse: boolean }
    computed: { id: number; before: { name: string; items: readonly string[] } }
  }
  place_checked: {
    typed: CheckInput & { list: string; place: string | null }
    computed: { checkId: number; passed: boolean; done: readonly string[]; missing: readonly string[] }
  }
  place_read: {
    typed: { place: string; temperature: string | null; humidity: string | null }
    computed: {
      readC: Celsius | null
      tempC: Celsius | null
      offsetC: Celsius
      thermometerId: number | null
      readRh: number | null
      rh: number | null
      offsetRh: number | null
      hygrometerId: number | null
      readingId: number
      placeId: number
    }
    since: Happened
  }
  plan_changed: {
    typed: { plan: Plan; pieces: readonly number[] | null; reason: string }
    /** `pieces`: their numbers; null: the lot. */
    computed: { planId: number; lotId: number; before: Plan; assumed: boolean; pieces: readonly (number | string)[] | null }
  }
  party_added: { typed: { kind: string; name: string }; computed: { id: number } }
  party_changed: {
    typed: { name: string; contact: string | null; approval: string | null; note: string | null }
    computed: {
      id: number
      before: { name: string; contact: string | null; approval: string | null; note: string | null }
    }
  }
  /** Written by the first version only: one cut, one record. */
  meat_received: {
    typed: { cut: string; weight: Typed; temperature: Typed; supplier: string; supplierLot: string }
    computed: { meatLotId: number }
  }
  delivery_received: {
    typed: {
      supplier: string
      document: string | null
      lines: readonly { cut: string; weight: Typed; temperature: Typed; reason?: string | null }[]
    }
    /** `meat` in the order of the lines. */
    computed: { deliveryId: number; meat: readonly { code: string; state: MeatState }[] }
  }
  meat_cut: {
    typed: {
      kind: 'cut' | 'bone' | 'split' | 'trim'
      pieces: readonly Typed[]
      trim?: Typed | null
      bone?: Typed | null
      rind?: Typed | null
    }
    computed: {
      cuttingId: number
      from: string
      fromG: Grams
      labels: readonly string[]
      unaccountedG: Grams
      trimG: Grams
      boneG: Grams
      rindG: Grams
    }
  }
  ingredient_received: {
    typed: { name: string; amount: Typed; supplier: string; supplierLot: string }
    computed: { ingredientLotId: number; amountG: Grams }
    since: Record<string, unknown>
  }
  ingredient_opened: { typed: object; computed: None }
  stock_moved: {
    typed: { kind: string; amount: Typed }
    computed: { moveId: number; massG: Grams; leftG: Grams }
  }
  stock_counted: {
    typed: { counted: Typed }
    computed: {
      moveId: number
      countedG: Grams
      bookG: Grams
      differenceG: Grams
      allowedG: Grams
      off: boolean
    }
  }
  mix_made: {
    typed: { name: string; forKg: number }
    computed: { mixLotId: number; massG: Grams; ppm: Ppm; agent: object }
  }
  recipe_written: { typed: { recipe: { name: string }; note: string | null }; computed: { number: number } }
  recipe_retired: { typed: { retired: boolean }; computed: None }
  recipes_imported: { typed: object; computed: { codes: readonly string[] } }
  card_laid: { typed: object; computed: None }
  lot_rubbed: {
    typed: { pieces: readonly { weight: Typed }[] }
    computed: Judged
    since: { plan: Formulation } & Happened
  }
  second_applied: { typed: object; computed: Judged }
  weighed_after: {
    typed: { weight: Typed }
    computed: Judged & {
      method: CureMethod
      before: {
        weighedBackG: Grams | null
        weighedBackTyped: string | null
        afterG: Grams | null
        afterTyped: string | null
      }
    }
  }
  lab_result: {
    typed: { residual: number; laboratory: string; report: string }
    /** `maxPpm` left out: no row of the rules limits what is left. */
    computed: { labResultId: number; lotId: number; maxPpm?: Ppm }
  }
  turned: { typed: object; computed: { turnId: number } }
  /** One press of one to four steps, over one or more lots. */
  step: {
    typed: { steps: readonly StepInput[] }
    computed: {
      happenedMs: Milliseconds
      /** How much later it was told. */
      lateMs: Milliseconds
      steps: readonly {
        id: number
        lot: string
        kind: ToldKind
        /** Pieces by number; what was cut from another by number and part. */
        pieces: readonly (number | string)[]
        /** The pieces it was told of, which were one piece then. */
        instead?: readonly (number | string)[]
        /** What a piece was cut into. */
        into?: readonly string[]
        /** The stacks as they lie after it, by number from the bottom up. */
        stacks?: readonly (readonly (number | string)[])[]
      }[]
      /** Names of the places that were moved to, by id. */
      places: Readonly<Record<number, string>>
      /** The least that stayed, where it may have changed. */
      stayed?: readonly { lot: string; leastPpm: Ppm | null; why: LotNotShownWhy | null }[]
      /** What it comes to, where something was put on, and the names of what was, by code. */
      nitrite?: readonly { lot: string; ppm: Ppm; lowPpm: Ppm; status: NitriteStatus; meaning: PpmMeaning }[]
      names?: Readonly<Record<string, string>>
    }
  }
  /** Written by the first version only. */
  turn_voided: { typed: object; computed: None }
  drained: { typed: object; computed: None; since: { beforeMs: Milliseconds | null } }
  cure_ended: { typed: object; computed: None; since: { beforeMs: Milliseconds | null } }
  run_started: { typed: { smoker: string; unchecked?: boolean }; computed: { targetCoreC: Celsius; runId: number } }
  run_read: {
    /** A logger's many rows are told as their `count`, and in a list every long record is. */
    typed: { phase: 'smoke' | 'cool'; source: string; readings?: readonly { atMs: Milliseconds }[]; count?: number }
    computed: { runId: number }
    /** `readings`: the ids of what it added, as first and last of each span. */
    since: {
      readings: readonly [number, number][]
      coreThermometerId: number | null
      chamberThermometerId: number | null
      coreOffsetC: Celsius
      chamberOffsetC: Celsius
    }
  }
  run_pulled: { typed: object; computed: { hottestC: Celsius | null; outcome: SmokeOutcome; runId: number } }
  sliced: {
    typed: { packs: readonly unknown[]; readyWeight: Typed | null; unchecked?: boolean }
    computed: { packCodes: readonly string[]; outG: Grams; lotId: number }
    /** `pieces`: of the lot only these, by number and part; null: all that were there. */
    since: {
      offcutIds: readonly number[]
      before: { readyG: Grams | null; readyTyped: string | null }
      pieces: readonly (number | string)[] | null
    } & Happened
  }
  sent: { typed: { packCodes: readonly string[]; customer: string }; computed: { dispatchId: number } }
  pack_returned: {
    typed: { pack: string; reason: string; place: string | null }
    computed: { returnId: number; packId: number; dispatchId: number; customer: string }
    since: Happened
  }
  return_decided: { typed: { pack: string; disposition: ReturnDecision; text: string }; computed: { returnId: number } }
  corrected: { typed: object; computed: { what: string; about: string; from: string; to: string } }
  voided: { typed: { kind: EventKind }; computed: { recordedAtMs: Milliseconds } }
  /** A hold, with the figures that its reason rests on. */
  held: { typed: { text?: string }; computed: { reason: HoldReason; facts?: string } & Record<string, unknown> }
  disposed: { typed: { disposition: string }; computed: { hold: HoldReason } }
  rows_sealed: { typed: object; computed: { rows: number; found: number } }
  /**
   * A newer version judges by more than the one before: a clock began, or lots that are not finished were judged
   * afresh. `from`: null where the version before did not say; `held`: those that newly break a rule, and why.
   */
  rules_changed: {
    typed: object
    computed:
      | { rule: 'places_read'; fromMs: Milliseconds }
      | { rule: 'lots_judged'; from: string | null; to: string; held: readonly { code: string; reasons: readonly HoldReason[] }[] }
  }
  /** Steps that contradicted others and count for nothing any more; what the command had to leave to a person. */
  steps_settled: { typed: object; computed: { settled: readonly SettledStep[]; left: readonly SettledStep[] } }
}>

/** When a thing happened that was told late. */
export interface Happened {
  happenedMs?: Milliseconds
  lateMs?: Milliseconds
}

/** A step by its row, and the record that told of it. */
export interface SettledStep {
  id: number
  kind: StepKind
  fromMs: Milliseconds
  eventId: number | null
}

type None = Readonly<Record<never, never>>
interface Shape {
  typed: object
  computed: object
  since?: object
}
type OfEveryKind<Map extends Record<EventKind, Shape>> = Map
type SinceOf<K extends EventKind> = RecordOf[K] extends { since: infer Since } ? Since : None

export type TypedOf<K extends EventKind> = RecordOf[K]['typed']
/** The shape that a new record holds. */
export type NewComputedOf<K extends EventKind> = RecordOf[K]['computed'] & SinceOf<K>
/** The shape that any record of the kind holds, also an old one. */
export type ComputedOf<K extends EventKind> = RecordOf[K]['computed'] & Partial<SinceOf<K>>
