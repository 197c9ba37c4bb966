import { ZxcvbnFactory } from '@zxcvbn-ts/core'
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common'
import { refuse, type Refusal } from '../context'

/**
 * The least score, of 0 to 4, that is taken: below it an attacker who tries what people choose needs fewer than a
 * million guesses.
 */
const LEAST_SCORE = 2

/** Letters that a password has beside the names of the person and the shop, years and signs: fewer are a code word. */
const LEAST_LETTERS = 5

let judge: ZxcvbnFactory | null = null

/** "Marit2024!!" is Marit's name with what everybody puts behind it. */
function isCodeWord(password: string, words: readonly string[]): boolean {
  const named = words.filter(word => word.length > 2).toSorted((a, b) => b.length - a.length)
  const rest = named.reduce((text, word) => text.replaceAll(word.toLowerCase(), ''), password.toLowerCase())
  return rest.replace(/[^\p{L}]/gu, '').length < LEAST_LETTERS && rest.length < password.length
}

/**
 * Refuses a password that is among the first that anyone tries: common ones, runs, keys in a row, the names of the
 * person and the shop, alone or with a year and a sign behind them.
 */
export function refuseWeakPassword(
  password: string,
  names: readonly string[],
  path: (string | number)[],
): Refusal | null {
  judge ??= new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs })
  const words = [...names, 'veldmoor', 'bacon'].flatMap(name => [name, ...name.split(/\s+/)])
  return isCodeWord(password, words) || judge.check(password, words).score < LEAST_SCORE ? refuse('password_common', {}, path) : null
}
