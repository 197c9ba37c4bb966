/**
 * The header by which someone says that the clock is right: the day that it shows, in the shop's zone, "2026-11-26".
 */
export const CLOCK_SEEN = 'clock-seen'
