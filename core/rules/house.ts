import type { Cut } from './cuts'
import {
  MS_PER_DAY,
  MS_PER_HOUR,
  MS_PER_MINUTE,
  type Celsius,
  type Fraction,
  type Grams,
  type Millimetres,
  type Milliseconds,
  type Ppm,
} from '../units/quantities'

// Every figure the shop is judged by for want of a text that gives one. What a text gives stands in `sets/` and in
// `guideline.ts`. The unit is the last word of a name; a share is a mass fraction. `docs/limits.md` lists them all.

/** The shop's own limits, stricter than the law; null where it has none. */
export interface HouseLimits {
  floorPpm: Ppm | null
  maxPpm: Ppm | null
}
export const NO_HOUSE_LIMITS: HouseLimits = { floorPpm: null, maxPpm: null }

// Nitrite, ppm ingoing NaNO2.

/** Most makers stay near this, whatever higher maximum the cut allows. */
export const HOUSE_TARGET_PPM: Ppm = 150
/** Stands in where a rule set has no ingoing maximum: the general figure for cured meat. A house rule, not a law. */
export const GUARD_PPM: Ppm = 200
/** The most nitrite that a blended curing salt has. */
export const MOST_BLENDED_NITRITE_SHARE: Fraction = 0.1

// Salt, sugar and what they come in, shares of green weight.

/** The least share of what a plan keeps for later that is waited for. */
export const STILL_TO_COME_SHARE: Fraction = 0.05
/** The most of a lot's mix that a plan may keep for later. */
export const MOST_LATER_SHARE: Fraction = 0.9
/** The least salt that is a cure without nitrite. */
export const LEAST_SALT_ONLY_SHARE: Fraction = 0.018
/** A measured nitrite cure outside these is a slip of the key or of the scale, not a cure. */
export const LEAST_MEASURED_SALT_SHARE: Fraction = 0.01
export const MOST_MEASURED_SALT_SHARE: Fraction = 0.06
/** Off from the plan by more than this share of it, the weight is said and typed a second time. */
export const SALT_OFF_SHARE: Fraction = 0.2
/** What most people like in bacon; under the first it is little, over the second it eats salty. */
export const USUAL_SALT = { lowShare: 0.02, highShare: 0.03 } as const
/** The most sugar, everywhere: syrup-rich cures put on up to 18 % of green weight, much of which stays in the bag. */
export const MOST_SUGAR_SHARE: Fraction = 0.2
/** The most sugar that goes unsaid: sweet styles go to 4 %. */
export const SAID_SUGAR_SHARE: Fraction = 0.06
/** The least share of the whole as which a syrup is more than a seasoning. */
export const LEAST_SYRUP_SHARE: Fraction = 0.3
/** A bulk mix comes this near to its target, as a share of it. */
export const MIX_NEAR_SHARE: Fraction = 0.05
/** Pieces of a lot, and seasonings beside salt and sugar. */
export const MOST_PIECES = 400
export const MOST_SEASONINGS = 12

/** Thickness of a piece that nobody measured yet. */
export const USUAL_THICKNESS_MM: Millimetres = 40

// Liquid that leaves the meat.

/** Brine, g/mL, from water to full; with syrup in the cure it is heavier. */
export const BRINE_DENSITY = { low: 1, high: 1.25, withSyrup: 1.35 } as const
/** Amounts told by a tap, mL. A few spoons is how it was told once, and is read for ever. */
export const ROUGH_ML = {
  one_spoon: { low: 5, high: 20 },
  some_spoons: { low: 20, high: 60 },
  many_spoons: { low: 50, high: 120 },
  few_spoons: { low: 10, high: 60 },
  cup: { low: 60, high: 300 },
  more: { low: 300, high: 1000 },
} as const
/**
 * How much more of the cure the liquid takes along than its share: nitrite dissolves at once while salt waits as
 * crystals. `settled`: no salt to be seen and a day after the last went on. From a film model, house.
 */
export const LIQUID_LOSS = { settled: 1.25, early: 3 } as const
export const DRAIN_SETTLED_MS: Milliseconds = MS_PER_DAY
/** The share of the meat's weight above which a drained amount is asked about. */
export const DRAINED_ASKED_SHARE: Fraction = 0.15
/**
 * The most that water takes along: diffusion in 1e-10 m2/s at 4 °C, out at its fastest and in at its slowest,
 * activation energy in J/mol; the first-order share of both faces (4 / sqrt(pi)); what is added for safety; what is not
 * told.
 */
export const SOAK_BOUND = {
  outD10: 3.5,
  inD10: 1.5,
  activationJ: 25_000,
  twoFaces: 2.26,
  safety: 1.1,
  usualC: 15,
} as const
/**
 * What liquid left behind that lay with the meat: nitrite's diffusion at its slowest (0.8 of salt's 1.6) in 1e-10 m2/s
 * at 4 °C, how deep it counts at most, what is taken off its depth, water in lean and meat as kg/m3, and how cold meat
 * still cures.
 */
export const LYING_LIQUID = {
  slowestD10: 1.28,
  mostMm: 5,
  depthShare: 0.2,
  lessMm: 1,
  waterKgM3: 735,
  meatKgM3: 1050,
  coldestC: -1.5,
} as const
/** Longer in water in all, nothing is shown; out of it for longer, another stay begins. */
export const SOAK_STAYS = { mostMs: 48 * MS_PER_HOUR, apartMs: 10 * MS_PER_MINUTE } as const
/** The thinnest place that nobody measured, as a share of the thickness that was. */
export const THINNEST_SHARE: Fraction = 0.6
/** Drained so soon after the rub, it took along what nobody can say. */
export const DRAINED_EARLY_MS: Milliseconds = 6 * MS_PER_HOUR

/**
 * Water in a cut at its lowest, share of green weight: nitrite in a brine spreads over water. Belly by its fat share;
 * jowl as published for raw pork jowl (22 %, USDA FoodData Central), drawn down; the others never below a fat belly.
 */
export const LEAST_WATER: Readonly<Record<Cut, Fraction>> = {
  belly: 0.35,
  loin: 0.35,
  shoulder: 0.35,
  jowl: 0.2,
  other: 0.2,
}
/** Most of it that is water: a lean belly, lean meat. House, from tables of composition. */
export const MOST_WATER: Readonly<Record<Cut, Fraction>> = {
  belly: 0.5,
  loin: 0.72,
  shoulder: 0.68,
  jowl: 0.35,
  other: 0.72,
}

// Cold, °C.

/** Where meat lies cold: said, held, and where curing all but stops. */
export const FRIDGE_CHECKS = {
  warn: { aboveC: 4.4, forMs: 30 * MS_PER_MINUTE },
  hold: { aboveC: 7, forMs: 2 * MS_PER_HOUR },
  tooColdC: -1,
} as const
/**
 * Curing, drying after the rinse, resting: unbroken hours, salt only the stricter; and hours over the shop's limit in
 * all.
 */
export const COLD_CHECKS = {
  hold: FRIDGE_CHECKS.hold,
  saltOnly: { aboveC: 4, forMs: 4 * MS_PER_HOUR },
  sum: { usC: 4.4, elsewhereC: 5, forMs: MS_PER_DAY },
} as const
/** A place with meat in it that nobody read: Today asks, then what lies there is not shown to be cold. */
export const UNREAD = {
  cold: { askMs: 12 * MS_PER_HOUR, holdMs: MS_PER_DAY },
  saltOnly: { askMs: 6 * MS_PER_HOUR, holdMs: 12 * MS_PER_HOUR },
  frozen: { askMs: MS_PER_DAY, holdMs: 7 * MS_PER_DAY },
} as const
/** Hours on a counter or a table, in all, after which it is said, and held. As warm as a room until it is read. */
export const BENCH_CHECKS = { unreadC: 20, warnMs: 2 * MS_PER_HOUR, holdMs: 4 * MS_PER_HOUR } as const
/**
 * Ready to slice, as a share of green weight, where a shop has no lots of its own to go by: through a hot smoke at its
 * least.
 */
export const USUAL_READY_SHARE: Fraction = 0.85
/** A shop's usual yield is the middle of so many of its last lots of a cut. */
export const YIELD_LOTS = 12
/**
 * Hung to dry by weight: warmer than its place should be by so much, unbroken, it is outside its plan; 13 °C where
 * nobody said.
 */
export const HANG_CHECKS = { usualC: 13, overC: 2, forMs: 12 * MS_PER_HOUR } as const
/** Meat that is hung warmer than this is first dry enough by its estimated water activity. */
export const HANG_WARM_C: Celsius = 5
export const HANG_MOST_ACTIVITY = 0.96
/** Hanging meat that weighs more than this over its last weight was weighed along with something. */
export const HEAVIER_SHARE = 0.005
/** Hanging meat is weighed so often; late so long after that. */
export const WEIGH_EVERY_MS = 7 * MS_PER_DAY
export const WEIGH_LATE_MS = 2 * MS_PER_DAY
/** Meat at the door: said, and held or sent back. */
export const ARRIVAL_WARN_C: Celsius = 4.4
export const ARRIVAL_REFUSE_C: Celsius = 7
/** A thermometer is right as it is, or its offset is taken off; beyond, it is not used. */
export const THERMOMETER_RIGHT_C: Celsius = 0.5
export const THERMOMETER_USABLE_C: Celsius = 2
/** The same for a hygrometer, in points of relative humidity. */
export const HYGROMETER_RIGHT_RH = 3
export const HYGROMETER_USABLE_RH = 10

// Smoke.

/** A core that stays under this is smoked cold and has no come-up. */
export const HEAT_FROM_C: Celsius = 30
/** The core temperature from which meat was cooked through, not only warmed. */
export const HEAT_TREATED_FROM_C: Celsius = 60
/** A heat that peaks under the kill: so long from the first to the second, up and down. */
export const LUKEWARM = { fromC: 20, toC: 50, curedMs: 6 * MS_PER_HOUR, saltOnlyMs: 4 * MS_PER_HOUR } as const
/** Cold and then hot: so long above 10 °C before the kill holds the lot. */
export const LONG_WARM_MS: Milliseconds = 6 * MS_PER_HOUR
/** A slab up to `thinMm` is as cold as its place after `thinMs` in it, a thicker one after `thickMs`. */
export const THROUGH = { thinMm: 50, thinMs: 4 * MS_PER_HOUR, thickMs: 8 * MS_PER_HOUR } as const
/** Hours over all cold sessions above each temperature: asked about, and held. */
export const COLD_SMOKE_STEPS = [
  { aboveC: 5, askMs: 24 * MS_PER_HOUR, holdMs: 48 * MS_PER_HOUR },
  { aboveC: 15, askMs: 8 * MS_PER_HOUR, holdMs: 24 * MS_PER_HOUR },
  { aboveC: 25, askMs: 2 * MS_PER_HOUR, holdMs: Infinity },
] as const
/** Salt only: nothing but salt and cold keeps it. */
export const COLD_SMOKE_SALT_ONLY_C: Celsius = 4
/** How often a smoke is read; near the kill more often, because over a long gap none is credited; a cooling. */
export const SMOKE_EVERY_MS: Milliseconds = 45 * MS_PER_MINUTE
export const NEAR_KILL = { fromC: 50, everyMs: 25 * MS_PER_MINUTE } as const
export const COOLING_EVERY_MS: Milliseconds = 60 * MS_PER_MINUTE

/** Readings of one run at once. */
export const MOST_READINGS = 5000

// Weights that do not add up, shares.

/**
 * A piece gives no more than so many times its green weight, whoever is sure of it: the wettest brine does not double
 * it.
 */
export const MOST_CUT_TIMES = 2
/**
 * Parts and offcuts of a piece weigh at most this over its green weight: what lies on it, or what a brine gave it.
 * House.
 */
export const CUT_OVER_DRY_SHARE = 0.1
export const CUT_OVER_WET_SHARE = 0.5
/** Unaccounted beyond this is asked about: after a cut of the knife, and of a lot. */
export const UNACCOUNTED_SHARE: Fraction = 0.01
/** Two scales, or one read twice, may differ by this before more came out than went in, or the meat is not the meat. */
export const TWO_SCALES_SHARE: Fraction = 0.02
/** Packs and offcuts of one slicing are weighed on one scale: so much more out than was brought is let pass. */
export const SLICED_OVER_SHARE: Fraction = 0.01
/** Up to this much over it is asked about: then it is other meat, or a slip of the key. */
export const SLICED_MOST_OVER_SHARE: Fraction = 0.05
/**
 * The share of the slab below which a rest is crumbs and drip, what two weighings differ by, or what clings to a bag.
 */
export const REST_SHARE: Fraction = 0.03
export const MEAT_REST_SHARE: Fraction = 0.02
export const INGREDIENT_REST_SHARE: Fraction = 0.001
/** A scale that nobody knows reads to this. */
export const UNKNOWN_READABILITY_G: Grams = 1

// Times.

/** Curing salt is counted monthly. */
export const COUNT_EVERY_MS: Milliseconds = 31 * MS_PER_DAY
/** What has just become due is said on the page for so long. */
export const REMINDED_FOR_MS: Milliseconds = 30 * MS_PER_MINUTE
/** Two turns of a lot so near are the same one. */
export const SAME_TURN_MS: Milliseconds = 10 * MS_PER_MINUTE
/** No rhythm of turning or pouring off is slower than so many days. */
export const SLOWEST_RHYTHM_DAYS = 14
/** Drying on the rack before smoke, where nobody said for how long. */
export const USUAL_DRYING_HOURS = { from: 2, to: 24 } as const
/** A turning day begins here by the shop's clock: clear of late work, of early work and of clock changes. */
export const TURNING_DAY_FROM = '04:00'
/**
 * Turned morning and evening: where one ends and the other begins, and by when each is done if the shop says nothing.
 */
export const HALF_DAY = { splitAt: '14:00', morningBy: '10:00', eveningBy: '20:00' } as const
/** The first half day to turn in begins so long after the rub. */
export const FIRST_HALF_AFTER_MS: Milliseconds = 6 * MS_PER_HOUR
/** Clocks differ a little: what is told up to so far ahead counts as now. */
export const STEP_AHEAD_MS: Milliseconds = 2 * MS_PER_MINUTE
/** Told later than this, it is said why. */
export const LATE_REASON_MS: Milliseconds = MS_PER_DAY
/** How long a tap may be undone without saying why. */
export const UNDO_MS: Milliseconds = 10 * MS_PER_MINUTE
/** Clocks of probes and tablets differ a little; readings further ahead than this are a mistake. */
export const READING_AHEAD_MS: Milliseconds = 5 * MS_PER_MINUTE
/** A first reading may be noted shortly before the start is pressed. */
export const READING_EARLY_MS: Milliseconds = 30 * MS_PER_MINUTE

/** Shelves and hooks of one place. */
export const MOST_SHELVES = 60
export const MOST_HOOKS = 500

/** Room on the shop's disk: under this nobody's photo is taken, under that it is said. House. */
export const FULL_DISK_BYTES = 1e9
export const LOW_DISK_BYTES = 5e9
