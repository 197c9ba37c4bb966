import type { Celsius, Grams, Milliseconds } from '../units/quantities'
import type { PlanAskKind } from './against'
import type { TurnWay } from '../turning/rhythm'

/** What is done to pieces after the rub; the rub itself is the first. */
export const STEP_KINDS = [
  'rub',
  'turn',
  'drain',
  'look',
  'move',
  'add',
  'weigh',
  'out',
  'soak',
  'fry_test',
  'dry',
  'rest',
  'hang',
  'humidity',
  'flavour',
  'heat',
  'cut',
  'slice',
  'take',
] as const
export type StepKind = (typeof STEP_KINDS)[number]

/** The face of a piece that lies up. */
export const PIECE_FACES = ['flesh', 'fat'] as const
export type PieceFace = (typeof PIECE_FACES)[number]

/** How the thickest piece feels, from the first day to the last. */
export const FEELS = ['raw', 'edges_firm', 'soft_middle', 'stiff'] as const
export type Feel = (typeof FEELS)[number]

/** What else is seen of a piece: its colour, its smell, what lies under it, spots that did not cure. */
export const COLOURS = ['raw', 'patchy', 'even'] as const
export const SMELLS = ['clean', 'off'] as const
export const LIQUIDS = ['dry', 'some', 'much'] as const
export const SPOTS = ['none', 'grey'] as const
export const MOULDS = ['none', 'white', 'other'] as const
export type Mould = (typeof MOULDS)[number]
export interface Seen {
  feel: Feel | null
  colour?: (typeof COLOURS)[number] | null
  smell?: (typeof SMELLS)[number] | null
  liquid?: (typeof LIQUIDS)[number] | null
  spots?: (typeof SPOTS)[number] | null
  surface?: Surface | null
  mould?: Mould | null
  photoId?: number | null
}

/** How the surface feels to a clean finger: no smoke before it is tacky all over. */
export const SURFACES = ['wet', 'damp', 'tacky', 'dry'] as const
export type Surface = (typeof SURFACES)[number]
/** How the surface dries: `warm` in the smoker without smoke. */
export const DRY_WAYS = ['rack', 'hung', 'fan', 'warm'] as const
export type DryWay = (typeof DRY_WAYS)[number]
/** How meat rests: `part_frozen` to be sliced. */
export const REST_WAYS = ['open', 'wrapped', 'sealed', 'part_frozen'] as const
export type RestWay = (typeof REST_WAYS)[number]
/** How flavour goes on after the cure: in a bag for hours, dry on the pellicle, or as a glaze, also during a heat. */
export const FLAVOUR_WAYS = ['marinade', 'dry_spice', 'glaze'] as const
export type FlavourWay = (typeof FLAVOUR_WAYS)[number]
/** Where more of the cure goes on: `up` the face that lies up then. */
export const ADD_FACES = ['flesh', 'fat', 'up', 'all'] as const
export type AddFace = (typeof ADD_FACES)[number]
/** What a fried slice tasted of, 1 far too little to 5 far too much, and what follows: it is done, or soaked again. */
export const FRY_VERDICTS = ['done', 'again'] as const
export type FryVerdict = (typeof FRY_VERDICTS)[number]
export type SaltTaste = 1 | 2 | 3 | 4 | 5

/** What comes off when a piece is cut up after the rub. */
export const CUT_OFFS = ['rind', 'bone', 'fat', 'trim', 'samples'] as const
export type CutOff = (typeof CUT_OFFS)[number]

/** Why pieces are taken away before they were packed: thrown away, or gone for something that is no pack. */
export const TAKE_WHYS = ['thrown_away', 'tasted', 'other'] as const
export type TakeWhy = (typeof TAKE_WHYS)[number]

/** What left the meat: grams at its least and at its most. */
export interface DrainedG {
  lowG: Grams
  highG: Grams
}

/** What of its plan a step went against, when somebody said why. */
interface Against {
  against?: readonly PlanAskKind[]
}
/** What a step of each kind says beside its pieces, its place and its time. */
export interface FiguresOfStep {
  /**
   * Where each piece lies in its place: "bag 2", "tub A"; pieces not named lie loose. `stacked`: one on the other, the
   * first at the bottom.
   */
  rub: { spots: Readonly<Record<number, string>>; face: PieceFace | null; stacked?: boolean }
  /**
   * `face`: which lies up now, where it is not simply the other one. `order`: ids from the bottom up, where the stack does
   * not lie as its order has it.
   */
  turn: { how: TurnWay; face: PieceFace | null; order?: readonly number[] }
  /**
   * `drained` null: nobody saw how much. `back`: kept, and poured back. `saltLies`: salt was to be seen on the meat;
   * `tookSalt`: some that had not dissolved went along, told since records can say so.
   */
  drain: { how: 'poured_off' | 'leaked'; drained: DrainedG | null; back: boolean; saltLies: boolean; tookSalt?: boolean }
  look: Seen
  move: { spot: string | null; order?: readonly number[] }
  /**
   * More of the cure: what went on stands with the lot's ingredients, by the step's number, or by the application before
   * there were any. `readabilityG`: of the scale; `unweighed`: some of it went on without.
   */
  add: { application: number; face?: AddFace; readabilityG?: Grams; unweighed?: boolean }
  flavour: { how: FlavourWay; readabilityG: Grams; unweighed: boolean }
  /**
   * The mix that was shaken off an excess cure, or the meat out of its brine; or the meat as it lies, which bounds what
   * ran off unseen unless salt lies on it still. `offG`: how far the scale may be off.
   */
  weigh: { what: 'weighed_back' | 'after_brine'; netG: Grams } | { what: 'meat'; netG: Grams; offG: Grams; saltLies: boolean }
  /** `against`: what of its plan it went against, when somebody said why; so for a heat and a slicing. */
  out: { rinses: number | null } & Against
  /** `litres` and `waterC` null: nobody measured. `changes`: how often the water was changed. */
  soak: { litres: number | null; waterC: Celsius | null; changes: number }
  fry_test: { salt: SaltTaste; verdict: FryVerdict }
  dry: { how: DryWay }
  rest: { how: RestWay }
  /** To dry by weight: the hook of each piece, where somebody said. */
  hang: { spots: Readonly<Record<number, string>> }
  /** The air where it hangs was set to so many percent. */
  humidity: { percent: number }
  /** `back`: at its end the pieces lie where they lay before. */
  heat: { code: string; targetC: Celsius; back: boolean } & Against
  /** One piece, cut into one part or more; `parts` by id, weighed as they were then. `wholeG`: what it weighed just before. */
  cut: {
    parts: readonly { pieceId: number; netG: Grams }[]
    offcuts: readonly { kind: CutOff; netG: Grams }[]
    wholeG: Grams | null
  }
  /** `all`: that was all of these pieces. */
  slice: { all?: boolean } & Against
  /** They are gone, and were never packed. `decided`: the owner decided so of what was held. */
  take: { why: TakeWhy; decided?: boolean }
}

/** A step as it stands in the tables. `toMs` null: still going; equal to `fromMs`: an instant. */
export type StepOf<K extends StepKind> = {
  [Kind in K]: {
    id: number
    kind: Kind
    /** Ids of the pieces it was done to. */
    pieces: readonly number[]
    /** Where it was done; a place on any step is a move to it. */
    placeId: number | null
    fromMs: Milliseconds
    toMs: Milliseconds | null
    figures: FiguresOfStep[Kind]
  }
}[K]
export type Step = StepOf<StepKind>

/** In order of happening; what happened at one instant in the order in which it was told. */
export const byHappening = (a: Pick<Step, 'fromMs' | 'id'>, b: Pick<Step, 'fromMs' | 'id'>): number =>
  a.fromMs - b.fromMs || a.id - b.id
