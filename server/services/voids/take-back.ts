import type { Milliseconds } from '#core/units/quantities'
import type { EventKind } from '#shared/contracts/event-kinds'
import type { ComputedOf, TypedOf } from '#shared/contracts/records'
import type { VoidableKind } from '#shared/messages/void-words'
import { refuse, type Refusal, type WriteContext } from '../context'
import { between } from '../../db/schema/where'
import { judgePlaces } from '../judging/judge-places'
import { lotsThatLay } from '../steps/lots-that-lay'
import { rejudge } from '../judging/rejudge'
import { checkRun } from '../judging/check-run'

/** A record as the book tells it. */
export interface ToldRecord<K extends EventKind = EventKind> {
  atMs: Milliseconds
  subjects: string[]
  typed: TypedOf<K>
  computed: ComputedOf<K>
}
export interface TakeBack<K extends EventKind = EventKind> {
  /** Kinds of later record about the same thing that must be voided first. */
  builtOn: readonly EventKind[]
  /** The later record may be about any of its codes, not only the first. */
  anySubject?: boolean
  /** What stands in its way, or null when it is done. */
  undo: (ctx: WriteContext, event: ToldRecord<K>) => Promise<Refusal | null>
}

/** Work that nothing stands in the way of. */
const free
  = <K extends EventKind>(work: (ctx: WriteContext, event: ToldRecord<K>) => Promise<unknown>) =>
    async (ctx: WriteContext, event: ToldRecord<K>) => {
      await work(ctx, event)
      return null
    }
/** A press goes back with its steps, as they do with every record; there is nothing else to it. */
const itsSteps = () => Promise.resolve(null)
const ids = (rows: readonly { id: number }[]) => rows.map(row => row.id)
/** A place's reading goes, and what lay there is judged without it. */
async function voidReading(ctx: WriteContext, readingId: number, placeId: number): Promise<void> {
  await ctx.tables.placeReadings.setVoid([readingId])
  await judgePlaces(ctx, await lotsThatLay(ctx.tables, placeId))
}
/** Readings that a record added: it names them, or, before it did, their times. */
async function readingIds(ctx: WriteContext, { typed, computed }: ToldRecord<'run_read'>): Promise<number[]> {
  const { runId, readings: spans } = computed
  if (spans)
    return (
      await Promise.all(spans.map(span => ctx.tables.runReadings.pick([], { runId, id: between(...span) })))
    ).flatMap(ids)
  const added = new Set(typed.readings?.map(reading => reading.atMs))
  return ids(
    (await ctx.tables.runReadings.pick(['atMs'], { runId, phase: typed.phase })).filter(row => added.has(row.atMs)),
  )
}
/** What takes a record's effect on the current state back, by kind; kinds without one are corrected, not voided. */
export const takeBack: { [K in VoidableKind]: TakeBack<K> } = {
  turned: { builtOn: [], undo: free((ctx, event) => ctx.tables.turns.setVoid([event.computed.turnId])) },
  drained: { builtOn: ['drained'], undo: itsSteps },
  step: { builtOn: [], undo: itsSteps },
  cure_ended: { builtOn: ['run_started', 'sliced'], undo: itsSteps },
  fridge_read: {
    builtOn: [],
    undo: async (ctx, event) => {
      const { readingId, fridgeId } = event.computed
      if (readingId === undefined) return refuse('cannot_void')
      await voidReading(ctx, readingId, fridgeId)
      return null
    },
  },
  place_read: {
    builtOn: [],
    undo: free((ctx, event) => voidReading(ctx, event.computed.readingId, event.computed.placeId)),
  },
  piece_tagged: {
    builtOn: [],
    // What was tied to it since stays.
    undo: free(async (ctx, { typed, computed: { pieceId, before } }) => {
      const piece = await ctx.tables.pieces.one({ id: pieceId })
      if (piece?.tag === typed.tag) await ctx.tables.pieces.update(pieceId, { tag: before })
    }),
  },
  place_checked: { builtOn: [], undo: free((ctx, event) => ctx.tables.placeChecks.setVoid([event.computed.checkId])) },
  // The last that stands is followed again; what was done meanwhile stays done.
  plan_changed: { builtOn: [], undo: free((ctx, event) => ctx.tables.plans.setVoid([event.computed.planId])) },
  run_started: {
    builtOn: ['run_read', 'run_pulled'],
    undo: free(async (ctx, event) => {
      const runId = event.computed.runId
      await ctx.tables.runPieces.setVoid(ids(await ctx.tables.runPieces.find({ runId })))
      await ctx.tables.runs.setVoid([runId])
    }),
  },
  run_read: {
    builtOn: ['run_pulled', 'sliced'],
    undo: free(async (ctx, event) => {
      const runId = event.computed.runId
      await ctx.tables.runReadings.setVoid(await readingIds(ctx, event))
      await checkRun(ctx, runId, { again: true })
    }),
  },
  run_pulled: {
    builtOn: ['run_read', 'sliced'],
    undo: free((ctx, event) =>
      ctx.tables.runs.update(event.computed.runId, { pulledAtMs: null, pulledById: null, outcome: null }),
    ),
  },
  sliced: {
    builtOn: ['sent'],
    undo: async (ctx, event) => {
      const { lotId, offcutIds, before } = event.computed
      if (!offcutIds || !before) return refuse('cannot_void')
      const packs = await ctx.tables.packs.find({ code: [...event.computed.packCodes] }, { lock: true })
      const sent = packs.find(pack => pack.dispatchId !== null)
      if (sent) return refuse('already_sent', { code: sent.code })
      await ctx.tables.packs.setVoid(ids(packs))
      await ctx.tables.offcuts.setVoid(offcutIds)
      await ctx.tables.lots.update(lotId, before)
      return null
    },
  },
  pack_returned: {
    builtOn: ['sent', 'return_decided'],
    undo: free(async (ctx, event) => {
      const { returnId, packId, dispatchId } = event.computed
      await ctx.tables.packReturns.setVoid([returnId])
      await ctx.tables.packs.update(packId, { dispatchId })
    }),
  },
  sent: {
    builtOn: ['pack_returned'],
    undo: free(async (ctx, event) => {
      const dispatchId = event.computed.dispatchId
      for (const pack of await ctx.tables.packs.find({ dispatchId }))
        await ctx.tables.packs.update(pack.id, { dispatchId: null })
      await ctx.tables.dispatches.setVoid([dispatchId])
    }),
  },
  lot_rubbed: {
    builtOn: [
      'step',
      'turned',
      'drained',
      'cure_ended',
      'run_started',
      'sliced',
      'second_applied',
      'weighed_after',
      'lab_result',
    ],
    undo: free(async (ctx, event) => {
      const lotId = event.computed.lotId
      await ctx.tables.pieces.setVoid(ids(await ctx.tables.pieces.find({ lotId })))
      await ctx.tables.plans.setVoid(ids(await ctx.tables.plans.pick([], { lotId })))
      await ctx.tables.lotIngredients.setVoid(ids(await ctx.tables.lotIngredients.find({ lotId })))
      await ctx.tables.lots.setVoid([lotId])
      for (const card of await ctx.tables.benchCards.find({ lotId }))
        await ctx.tables.benchCards.update(card.id, { lotId: null })
    }),
  },
  second_applied: {
    builtOn: ['cure_ended'],
    undo: free(async (ctx, event) => {
      const lotId = event.computed.lotId
      await ctx.tables.lotIngredients.setVoid(ids(await ctx.tables.lotIngredients.find({ lotId, application: 2 })))
      await rejudge(ctx, lotId)
    }),
  },
  weighed_after: {
    builtOn: ['weighed_after'],
    undo: free(async (ctx, event) => {
      await ctx.tables.lots.update(event.computed.lotId, event.computed.before)
      await rejudge(ctx, event.computed.lotId)
    }),
  },
  lab_result: {
    builtOn: ['sent'],
    undo: free((ctx, event) => ctx.tables.labResults.setVoid([event.computed.labResultId])),
  },
  mix_made: {
    builtOn: ['lot_rubbed', 'step', 'ingredient_opened', 'stock_moved', 'stock_counted'],
    undo: free(async (ctx, event) => {
      const mixLotId = event.computed.mixLotId
      await ctx.tables.mixParts.setVoid(ids(await ctx.tables.mixParts.find({ mixLotId })))
      await ctx.tables.ingredientLots.setVoid([mixLotId])
    }),
  },
  instrument_checked: {
    builtOn: [],
    undo: async (ctx, event) => {
      await ctx.tables.instruments.one({ id: event.computed.instrumentId }, { lock: true })
      const check = await ctx.tables.instrumentChecks.one({ id: event.computed.checkId })
      const [newest] = await ctx.tables.instrumentChecks.find(
        { instrumentId: event.computed.instrumentId },
        { order: [['id', 'DESC']], limit: 1 },
      )
      await ctx.tables.instrumentChecks.setVoid([check!.id])
      // An older check's offset is no longer the one in force.
      if (newest!.id === check!.id)
        await ctx.tables.instruments.update(check!.instrumentId, { offsetC: check!.offsetBeforeC })
      return null
    },
  },
  delivery_received: {
    builtOn: ['lot_rubbed', 'meat_cut', 'disposed'],
    anySubject: true,
    undo: free(async (ctx, event) => {
      const deliveryId = event.computed.deliveryId
      await ctx.tables.meatLots.setVoid(ids(await ctx.tables.meatLots.find({ deliveryId })))
      await ctx.tables.deliveries.setVoid([deliveryId])
    }),
  },
  meat_cut: {
    builtOn: [],
    undo: async (ctx, event) => {
      const cuttingId = event.computed.cuttingId
      const made = await ctx.tables.meatPieces.find({ cuttingId }, { lock: true })
      const [cut, rubbed] = [
        await ctx.tables.cuttings.find({ parentId: ids(made) }),
        await ctx.tables.pieces.find({ meatPieceId: ids(made) }),
      ]
      const gone = made.find(
        piece => cut.some(cutting => cutting.parentId === piece.id) || rubbed.some(row => row.meatPieceId === piece.id),
      )
      if (gone) return refuse('piece_gone', { label: gone.label })
      await ctx.tables.meatPieces.setVoid(ids(made))
      await ctx.tables.cuttings.setVoid([cuttingId])
      return null
    },
  },
  ingredient_opened: {
    builtOn: [],
    undo: free(async (ctx, event) =>
      ctx.tables.ingredientLots.update((await ctx.tables.ingredientLots.the({ code: event.subjects[0] })).id, {
        openedAtMs: null,
      }),
    ),
  },
  stock_moved: {
    builtOn: ['stock_counted'],
    undo: free((ctx, event) => ctx.tables.stockMoves.setVoid([event.computed.moveId])),
  },
  stock_counted: {
    builtOn: ['stock_counted'],
    undo: free((ctx, event) => ctx.tables.stockMoves.setVoid([event.computed.moveId])),
  },
  meat_received: {
    builtOn: ['lot_rubbed'],
    undo: free((ctx, event) => ctx.tables.meatLots.setVoid([event.computed.meatLotId])),
  },
  ingredient_received: {
    builtOn: ['lot_rubbed', 'step', 'mix_made', 'second_applied', 'ingredient_opened', 'stock_moved', 'stock_counted'],
    undo: free((ctx, event) => ctx.tables.ingredientLots.setVoid([event.computed.ingredientLotId])),
  },
}
