const GB = 1e9
/** Room on a disk, "53 GB" or "0.4 GB". */
export const freeWords = (bytes: number): string =>
  `${bytes < 10 * GB ? (bytes / GB).toFixed(1) : Math.round(bytes / GB)} GB`
