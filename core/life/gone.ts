/** Why a piece is one no more: cut up, sliced to the end, or taken away. */
export type GoneWhy = 'cut' | 'sliced' | 'taken'
