import type { Milliseconds } from '../units/quantities'
import { divide, leave } from './divide'
import type { GoneWhy } from './gone'
import { KINDS } from './kinds/all-kinds'
import { CONTRADICTION_OF, GONE_CONTRADICTS, type ContradictionCode, type Mend } from './meaning'
import type { Stage } from './kinds/stage'
import { restack } from './restack'
import { byHappening, type Step } from './step'
import type { PieceFace } from './kinds/turn'

/** A stretch of a piece's life in one place and one stage. */
export interface Stay {
  placeId: number | null
  stage: Stage
  fromMs: Milliseconds
  /** Null: it is there. */
  toMs: Milliseconds | null
}

/** What became of a piece. Stays follow each other without gap from its rub. */
export interface PieceLife {
  pieceId: number
  /** What it was cut from after the rub, and when; one that was rubbed began with it. */
  parentId: number | null
  bornAtMs: Milliseconds
  stays: Stay[]
  stage: Stage
  /** Since when it stands in this stage. */
  sinceMs: Milliseconds
  placeId: number | null
  /** "bag 2", "tub A", "shelf 3": a label in its place. */
  spot: string | null
  /** The face that lies up; null when nobody said. */
  face: PieceFace | null
  /** Where it lies in its stack, 1 at the bottom, and how often all of that was turned; null: in none. */
  layer: number | null
  stackTurns: number | null
  rubbedAtMs: Milliseconds
  outAtMs: Milliseconds | null
  /** When it was first sliced from. */
  slicedAtMs: Milliseconds | null
  /** Since when it is a piece no more, and why. */
  goneAtMs: Milliseconds | null
  goneWhy: GoneWhy | null
}

export interface LotLife {
  /** Lives by id; what was cut up since is among them. */
  pieces: PieceLife[]
  /** When the last piece left the cure; null while one lies in it. */
  cureEndedAtMs: Milliseconds | null
  drainedAtMs: Milliseconds | null
}

/** Two steps that cannot both be true, in order of happening, and the pieces for which they cannot. */
export interface Contradiction {
  code: ContradictionCode
  /** The earlier; null when there is none before. */
  first: Step | null
  second: Step
  pieces: number[]
  mend: Mend
}

export type Folded = { ok: true; life: LotLife } | { ok: false; contradiction: Contradiction }

/** A piece on its way through the steps, and which step brought it where it stands. */
interface Walking extends PieceLife {
  by: Step
  /** Where it lay before the heat it is in. */
  before: { placeId: number | null; spot: string | null } | null
}

interface Moment {
  atMs: Milliseconds
  isEnd: boolean
  /** The order within one instant: ends of what began before, then beginnings, then ends of what just began. */
  rank: number
  step: Step
}

/** Beginnings and ends in order of time. A clock that was set back ends nothing before it began. */
function momentsOf(steps: readonly Step[]): Moment[] {
  const lasting = steps.filter(step => KINDS[step.kind].lasts && step.toMs !== null)
  return [
    ...steps.map(step => ({ atMs: step.fromMs, isEnd: false, rank: 1, step })),
    ...lasting.map((step) => {
      const atMs = Math.max(step.fromMs, step.toMs!)
      return { atMs, isEnd: true, rank: atMs > step.fromMs ? 0 : 2, step }
    }),
  ].toSorted((a, b) => a.atMs - b.atMs || a.rank - b.rank || byHappening(a.step, b.step))
}

/**
 * Folds a lot's standing steps, in whatever order they are given, into what became of its pieces, or names the first
 * two that contradict each other. The same function says whether a step may be told late, set right or voided: it is
 * asked with the steps as they would then be. Example: rubbed on Monday, moved to another fridge on Tuesday, out on
 * Friday: three stays, in the cure in both fridges, then out of it in the second. Ids of pieces that no rub names have
 * no life. Inputs stay untouched.
 */
export function foldLife(steps: readonly Step[]): Folded {
  const lives = new Map<number, Walking>()
  const rubbedIds = new Set(steps.flatMap(step => (step.kind === 'rub' ? step.pieces : [])))
  let drainedAtMs: Milliseconds | null = null
  for (const { atMs, isEnd, step } of momentsOf(steps)) {
    if (isEnd) {
      for (const id of step.pieces) for (const life of heirsOf(lives, id)) end(life, step, atMs)
      continue
    }
    const found = contradictionOf(step, lives, rubbedIds)
    if (found) return { ok: false, contradiction: found }
    for (const id of step.pieces) {
      const life = step.kind === 'rub' ? rubbed(id, step) : lives.get(id)!
      lives.set(id, life)
      begin(life, step)
      if (step.kind === 'cut') for (const part of divide(life, step)) lives.set(part.pieceId, part)
    }
    restack([...lives.values()].filter(life => life.goneAtMs === null), step)
    if (step.kind === 'drain') drainedAtMs = atMs
  }
  const pieces = [...lives.values()].toSorted((a, b) => a.pieceId - b.pieceId)
  const asked = pieces.filter(life => life.goneAtMs === null || (life.goneWhy !== 'cut' && life.outAtMs !== null))
  const out = asked.flatMap(life => life.outAtMs ?? [])
  // Taken away to the last in the cure, that is its end.
  const taken = pieces.flatMap(life => (asked.length === 0 && life.goneWhy === 'taken' ? [life.goneAtMs!] : []))
  return {
    ok: true,
    life: {
      pieces: pieces.map(({ by: _by, before: _before, ...life }) => life),
      cureEndedAtMs: out.length + taken.length > 0 && out.length === asked.length ? Math.max(...out, ...taken) : null,
      drainedAtMs,
    },
  }
}

/** A piece, or what it was cut into. */
const heirsOf = (lives: ReadonlyMap<number, Walking>, id: number): Walking[] => {
  const life = lives.get(id)!
  if (life.goneWhy !== 'cut') return [life]
  return [...lives.values()].filter(one => one.parentId === id).flatMap(one => heirsOf(lives, one.pieceId))
}

function contradictionOf(
  step: Step,
  lives: ReadonlyMap<number, Walking>,
  rubbedIds: ReadonlySet<number>,
): Contradiction | null {
  const { stages } = KINDS[step.kind]
  const not = (pieces: number[], code: ContradictionCode, first: Step | null, mend: Mend): Contradiction => ({
    code,
    first,
    second: step,
    pieces,
    mend,
  })
  if (step.kind === 'rub') {
    const again = step.pieces.filter(id => lives.has(id))
    return again.length > 0 ? not(again, 'rubbed_twice', lives.get(again[0]!)!.by, 'void_one') : null
  }
  const unborn = step.pieces.filter(id => !lives.has(id))
  if (unborn.length > 0)
    return not(unborn, rubbedIds.size === 0 || unborn.every(id => rubbedIds.has(id)) ? 'before_rub' : 'not_yet_cut', null, 'other_time')
  const gone = step.pieces.map(id => lives.get(id)!).find(life => life.goneWhy !== null)
  if (gone) {
    const same = step.pieces.filter(id => lives.get(id)!.goneWhy === gone.goneWhy)
    return not(same, GONE_CONTRADICTS[gone.goneWhy!].code, gone.by, GONE_CONTRADICTS[gone.goneWhy!].mend)
  }
  const begun = step.kind === 'cut' ? step.pieces.filter(id => lives.get(id)!.slicedAtMs !== null) : []
  if (begun.length > 0) return not(begun, 'sliced', null, 'other_time')
  const first = step.pieces.map(id => lives.get(id)!).find(life => !stages.includes(life.stage))
  if (!first) return null
  const alike = step.pieces.filter(id => lives.get(id)!.stage === first.stage)
  const { code, mend } = CONTRADICTION_OF[first.stage]
  return not(alike, code, first.by, mend)
}

const rubbed = (pieceId: number, step: Step & { kind: 'rub' }): Walking => ({
  pieceId,
  parentId: null,
  bornAtMs: step.fromMs,
  stays: [],
  stage: 'cure',
  sinceMs: step.fromMs,
  placeId: step.placeId,
  spot: step.figures.spots[pieceId] ?? null,
  face: step.figures.face,
  layer: null,
  stackTurns: null,
  rubbedAtMs: step.fromMs,
  outAtMs: null,
  slicedAtMs: null,
  goneAtMs: null,
  goneWhy: null,
  by: step,
  before: null,
})

function begin(life: Walking, step: Step): void {
  const { becomes } = KINDS[step.kind]
  if (step.kind === 'heat') life.before = { placeId: life.placeId, spot: life.spot }
  if (step.kind === 'out') life.outAtMs = step.fromMs
  if (step.kind === 'turn') life.face = faceAfter(life.face, step)
  if (becomes) Object.assign(life, { stage: becomes, sinceMs: step.fromMs, by: step })
  if (step.placeId !== null && step.kind !== 'rub') {
    if (step.placeId !== life.placeId) life.spot = null
    life.placeId = step.placeId
  }
  if (step.kind === 'move') life.spot = step.figures.spot
  if (step.kind === 'hang') life.spot = step.figures.spots[life.pieceId] ?? life.spot
  stay(life, step.fromMs)
  if (step.kind === 'slice') {
    life.slicedAtMs ??= step.fromMs
    if (step.figures.all) leave(life, step, 'sliced')
  }
  if (step.kind === 'take') leave(life, step, 'taken')
}

/**
 * A piece rests after a heat, where it lay before or where it was heated; out of the water it drips. The next thing may
 * have ended it before.
 */
function end(life: Walking, step: Step, atMs: Milliseconds): void {
  const { leaves } = KINDS[step.kind]
  if (life.by !== step) return
  if (leaves) Object.assign(life, { stage: leaves, sinceMs: atMs })
  if (step.kind === 'heat' && step.figures.back && life.before) Object.assign(life, life.before)
  life.before = null
  stay(life, atMs)
}

/** Closes the stay before where place or stage changed. One that lasted no time leaves no trace. */
function stay(life: Walking, atMs: Milliseconds): void {
  const last = life.stays.at(-1)
  if (last && last.placeId === life.placeId && last.stage === life.stage) return
  if (last && last.fromMs === atMs) life.stays.pop()
  else if (last) last.toMs = atMs
  const before = life.stays.at(-1)
  if (before && before.placeId === life.placeId && before.stage === life.stage) before.toMs = null
  else life.stays.push({ placeId: life.placeId, stage: life.stage, fromMs: atMs, toMs: null })
}

const OTHER_FACE = { flesh: 'fat', fat: 'flesh' } as const

function faceAfter(face: PieceFace | null, { figures }: Step & { kind: 'turn' }): PieceFace | null {
  if (figures.face) return figures.face
  return figures.how === 'turned' && face ? OTHER_FACE[face] : face
}
