/**
 * Where a piece stands: in the cure; in water after it; out of it, drying; in a heat; at rest, before one or after; hung to
 * dry by weight. A place has no stage: the same fridge holds pieces of all of them.
 */
export const STAGES = ['cure', 'soak', 'dry', 'heat', 'rest', 'hang'] as const
export type Stage = (typeof STAGES)[number]

/** Stages of a piece that was smoked, or is raw and out of its water. */
export const RAW_OR_SMOKED: readonly Stage[] = ['dry', 'rest', 'hang']
/** Stages out of the cure, and in no heat. */
export const OUT_OF_CURE: readonly Stage[] = ['soak', ...RAW_OR_SMOKED]
