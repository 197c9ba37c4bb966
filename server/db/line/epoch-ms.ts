/** Milliseconds since 1970 of a DATETIME(3). Not by UNIX_TIMESTAMP, which ends on 2038-01-19. */
export const epochMs = (at: string): string =>
  `CAST(TIMESTAMPDIFF(MICROSECOND, '1970-01-01', ${at}) DIV 1000 AS DOUBLE)`
