import { groupBy } from '#core/lists/group-by'
import { wentOn } from '#core/cure/went-on'
import { isWet } from '#core/cure/cure-method'
import { formatPercent, type Notation } from '#core/units/format'
import type { LotView } from '#shared/contracts/lots'
import { piecesWords } from '#shared/messages/pieces'

/**
 * Salt and sugar as they went on, as shares of green weight, by pieces where these differ; of a brine nothing is said
 * here: meat and water share it.
 */
export function wentOnWords(
  { pieces: leaves, rubbed, ingredients, method }: Pick<LotView, 'pieces' | 'rubbed' | 'ingredients' | 'method'>,
  as: Notation,
): string {
  if (isWet(method)) return ''
  // Parts differ once something went on one of them alone.
  const byPart = ingredients.some(part => part.pieceNumbers?.some(one => typeof one === 'string'))
  const pieces = byPart ? leaves.map(({ label, greenG }) => ({ number: label, greenG })) : rubbed
  const labels = (named: readonly (number | string)[]) =>
    byPart ? named.flatMap(one => leaves.filter(leaf => leaf.label === one || leaf.number === one).map(leaf => leaf.label)) : named
  const puts = ingredients.map(part => ({ ...part, massG: part.weighedG, pieces: part.pieceNumbers && labels(part.pieceNumbers) }))
  const said = ({ saltShare, sugarShare, open }: ReturnType<typeof wentOn>[number]) =>
    `${open ? 'at least ' : ''}${formatPercent(saltShare, as, 2)} salt, ${formatPercent(sugarShare, as, 2)} sugar`
  const alike = [...groupBy(wentOn(pieces, puts), said)]
  if (alike.length === 1) return `Went on in all: ${alike[0]![0]} of green weight.`
  const each = alike.map(([words, some]) => `${piecesWords(some.map(one => one.number))} ${words}`)
  return `Went on in all, of green weight: ${each.join('; ')}.`
}
