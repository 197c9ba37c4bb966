/**
 * Cuts the shop works with. Belly has rows of its own in most rule sets; whatever is `other` (lamb belly, say) takes
 * the general rows. House.
 */
export const CUTS = ['belly', 'loin', 'shoulder', 'jowl', 'other'] as const
export type Cut = (typeof CUTS)[number]
export const RINDS = ['off', 'on'] as const
export type Rind = (typeof RINDS)[number]
export type CutGroup = 'belly' | 'other'
export const cutGroup = (cut: Cut): CutGroup => (cut === 'belly' ? 'belly' : 'other')
