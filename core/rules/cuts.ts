/** Cuts the shop works with; belly has rows of its own in most rule sets. */
export const CUTS = ['belly', 'loin', 'shoulder', 'jowl'] as const
export type Cut = (typeof CUTS)[number]
export const RINDS = ['off', 'on'] as const
export type Rind = (typeof RINDS)[number]
export type CutGroup = 'belly' | 'other'
export const cutGroup = (cut: Cut): CutGroup => (cut === 'belly' ? 'belly' : 'other')
