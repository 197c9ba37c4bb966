import { ZxcvbnFactory } from '@zxcvbn-ts/core'
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common'
import { refuse, type Refusal } from '../context'

/** Of 0 to 4: below it an attacker who tries what people choose needs fewer than a million guesses. */
const LEAST_SCORE = 2

let judge: ZxcvbnFactory | null = null

/**
 * Refuses a password that is among the first that anyone tries: common ones, runs, keys in a row, the names of the
 * person and the shop.
 */
export function refuseWeakPassword(
  password: string,
  names: readonly string[],
  path: (string | number)[],
): Refusal | null {
  judge ??= new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs })
  const words = [...names, 'veldmoor', 'bacon'].flatMap(name => [name, ...name.split(/\s+/)])
  return judge.check(password, words).score < LEAST_SCORE ? refuse('password_common', {}, path) : null
}
