/** "1", "1 and 2", "1, 2 and 3"; empty of none. */
export const wordList = (words: readonly (string | number)[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`
