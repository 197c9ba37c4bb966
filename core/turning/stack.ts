/**
 * The order of a stack after its next turn, from the bottom up: an odd turn reverses all of it, an even one all but the
 * top piece; every piece is turned over. Over twice as many turns as pieces each lies in each position twice, once on
 * each face, from whatever order it began; a missed turn is simply the next one. `turn` counts from 1. Example: 1 2 3
 * becomes 3 2 1, then 2 3 1, then 1 3 2. (House: reversing all every time never brings the middle of three or more to
 * the bottom.)
 */
export function nextOrder<T>(order: readonly T[], turn: number): T[] {
  const top = turn % 2 === 0 ? order.slice(-1) : []
  return [...order.slice(0, order.length - top.length).toReversed(), ...top]
}

/**
 * A piece as it lies in a stack: `layer` 1 is the bottom, null lies in none; `stackTurns` how often all of it was
 * turned.
 */
export interface Stacked {
  placeId: number | null
  spot: string | null
  layer: number | null
  stackTurns: number | null
}

/** A stack from the bottom up. */
export interface Stack<P> {
  placeId: number | null
  spot: string | null
  pieces: P[]
  turns: number
}

/** Pieces by the stack they lie in: those of one lot at one spot of one place. What lies in none is left out. */
export function stacksOf<P extends Stacked>(pieces: readonly P[]): Stack<P>[] {
  const stacks = new Map<string, Stack<P>>()
  for (const piece of pieces.toSorted((a, b) => (a.layer ?? 0) - (b.layer ?? 0))) {
    if (piece.layer === null) continue
    const { placeId, spot } = piece
    const key = `${placeId} ${spot}`
    const known = stacks.get(key)
    if (known) known.pieces.push(piece)
    else stacks.set(key, { placeId, spot, pieces: [piece], turns: 0 })
    const stack = stacks.get(key)!
    stack.turns = Math.max(stack.turns, piece.stackTurns ?? 0)
  }
  return [...stacks.values()]
}

/** A stack as it will lie after each of its next turns, in order of time. */
export function ordersAhead<P>({ pieces, turns }: Pick<Stack<P>, 'pieces' | 'turns'>, count: number): P[][] {
  const orders: P[][] = []
  for (let i = 1; i <= count; i += 1) orders.push(nextOrder(orders.at(-1) ?? pieces, turns + i))
  return orders
}
