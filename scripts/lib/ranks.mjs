/** The value that such a share of sorted values lies below. */
export const rank = (sorted, share) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]
export const sorted = values => values.toSorted((a, b) => a - b)
export const median = values => rank(sorted(values), 0.5)
