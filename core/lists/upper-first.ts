/** A text as it begins a sentence; empty stays empty. */
export const upperFirst = (text: string): string => `${text.slice(0, 1).toUpperCase()}${text.slice(1)}`
