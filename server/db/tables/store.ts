import type { Cut, Rind } from '#core/rules/cuts'
import type { AgentKind } from '#core/agents/agent-kinds'
import type { NitrateCompound, NitriteCompound } from '#core/cure/agent'
import type { Allergen } from '#shared/contracts/allergens'
import type {
  ArrivalChecks,
  CuttingKind,
  IngredientKind,
  MeatState,
  MixRole,
  StockMoveKind,
} from '#shared/contracts/store'
import { blob, bool, celsius, day, grams, instant, int, json, nullable, share, text } from '../schema/column'
import { outsideBook, tableSpec, voidableSpec } from '../schema/table-spec'

export const parties = tableSpec(
  'parties',
  {
    kind: text<'supplier' | 'customer'>(16),
    name: text(),
    contact: nullable(text()),
    approval: nullable(text(120)),
    note: nullable(text(500)),
  },
  ['name', 'contact', 'approval', 'note'],
)

/**
 * Photos and certificates, kept whole and never changed. They come before the record that names them, which seals them:
 * by their hash.
 */
export const files = {
  ...outsideBook(
    tableSpec('files', {
      sha256: text(64),
      name: text(),
      mime: text(64),
      bytes: int(),
      content: blob(),
      atMs: instant(),
      byId: int(),
    }),
  ),
  unsealed: ['content'],
}

export const deliveries = voidableSpec('deliveries', {
  code: text(16),
  supplierId: int(),
  document: nullable(text()),
  photoId: nullable(int()),
  note: nullable(text(500)),
  receivedAtMs: instant(),
  receivedById: int(),
})

/** One cut of one delivery. `temperatureC` is what was read less the thermometer's offset. */
export const meatLots = voidableSpec(
  'meat_lots',
  {
    code: text(16),
    deliveryId: nullable(int()),
    supplierId: int(),
    supplierLot: text(),
    cut: text<Cut>(16),
    rind: text<Rind>(8),
    weightG: grams(),
    weightTyped: text(64),
    scaleId: nullable(int()),
    temperatureC: celsius(),
    temperatureTyped: text(32),
    thermometerId: nullable(int()),
    offsetC: celsius(),
    packDate: nullable(day()),
    state: text<MeatState>(16),
    checks: nullable(json<ArrivalChecks>()),
    note: nullable(text(500)),
    receivedAtMs: instant(),
    receivedById: int(),
    /** The instant from which nothing of it is left. */
    finishedAtMs: nullable(instant()),
  },
  ['finishedAtMs', 'supplierLot', 'weightG', 'weightTyped', 'state'],
)

/** One cut of the knife: a delivery's meat or a piece of it divided, with what was not meat to cure. */
export const cuttings = voidableSpec('cuttings', {
  meatLotId: int(),
  parentId: nullable(int()),
  kind: text<CuttingKind>(8),
  fromG: grams(),
  fromTyped: nullable(text(64)),
  trimG: grams(),
  boneG: grams(),
  rindG: grams(),
  unaccountedG: grams(),
  scaleId: nullable(int()),
  note: nullable(text(500)),
  atMs: instant(),
  byId: int(),
})

export const meatPieces = voidableSpec('meat_pieces', {
  meatLotId: int(),
  cuttingId: int(),
  label: text(64),
  massG: grams(),
  massTyped: text(64),
})

export const ingredientLots = voidableSpec(
  'ingredient_lots',
  {
    code: text(16),
    kind: text<IngredientKind>(16),
    name: text(),
    supplierId: int(),
    supplierLot: text(),
    amountG: grams(),
    amountTyped: text(64),
    bestBefore: nullable(day()),
    certificate: nullable(text()),
    certificateFileId: nullable(int()),
    nitriteFraction: share(),
    nitriteAs: text<NitriteCompound>(8),
    nitrateFraction: share(),
    saltFraction: share(),
    labelTolerance: share(),
    agentKind: nullable(text<AgentKind>(20)),
    nitrateAs: text<NitrateCompound>(8),
    sugarFraction: share(),
    waterFraction: share(),
    allergens: nullable(json<Allergen[]>()),
    iodised: bool(),
    openedAtMs: nullable(instant()),
    receivedAtMs: instant(),
    receivedById: int(),
    finishedAtMs: nullable(instant()),
  },
  ['finishedAtMs', 'openedAtMs'],
)

/** Grams that left an ingredient lot other than into a lot, and counts: then `massG` is counted less book. */
export const stockMoves = voidableSpec('stock_moves', {
  ingredientLotId: int(),
  kind: text<StockMoveKind>(16),
  massG: grams(),
  typed: text(64),
  countedG: nullable(grams()),
  bookG: nullable(grams()),
  allowedG: nullable(grams()),
  scaleId: nullable(int()),
  reason: nullable(text(500)),
  atMs: instant(),
  byId: int(),
})

/** What a bulk mix was made of. The mix itself is an ingredient lot of kind `mix`. */
export const mixParts = voidableSpec('mix_parts', {
  mixLotId: int(),
  ingredientLotId: int(),
  role: text<MixRole>(8),
  massG: grams(),
  typed: text(64),
  scaleId: nullable(int()),
  atMs: instant(),
  byId: int(),
})
