import { sumOf } from '#core/lists/sum-of'
import type { OffcutKind } from '#core/slicing/mass-balance'
import type { LotPiece, LotView } from '#shared/contracts/lots'
import { slicedOf } from './which-pieces'

type Balanced = Pick<LotView, 'pieces' | 'did' | 'offcuts' | 'packsG' | 'readyG'>

/** Green weight of pieces that did not come to the slicing table yet. `now`: those that do. */
export function hereG({ pieces, did }: Pick<Balanced, 'pieces' | 'did'>, now: readonly LotPiece[] = []): number {
  const cameBefore = slicedOf({ did })
  const came = (id: number) => cameBefore(id) || now.some(piece => piece.id === id)
  return sumOf(pieces.filter(piece => piece.goneWhy !== 'taken' && !came(piece.id)), piece => piece.greenG)
}

/** Green weight of pieces that were taken away, and were never on the slicing table. */
function takenG({ pieces, did }: Pick<Balanced, 'pieces' | 'did'>): number {
  const cameBefore = slicedOf({ did })
  return sumOf(pieces.filter(piece => piece.goneWhy === 'taken' && !cameBefore(piece.id)), piece => piece.greenG)
}

/** Where a lot's green weight went, as far as it is told. */
export function balanceOf(lot: Balanced) {
  const offcutsG: Partial<Record<OffcutKind, number>> = {}
  for (const { kind, massG, atCut } of lot.offcuts) if (!atCut) offcutsG[kind] = (offcutsG[kind] ?? 0) + massG
  return {
    packsG: lot.packsG,
    readyG: lot.readyG,
    offcutsG,
    cutG: sumOf(lot.offcuts.filter(one => one.atCut), one => one.massG),
    hereG: lot.readyG === null ? 0 : hereG(lot),
    takenG: takenG(lot),
  }
}
