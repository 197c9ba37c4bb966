import { QueryTypes, type Sequelize } from 'sequelize'

/** The least packet that a server must take: a photo of 10 MB travels as twice as many digits. */
const LEAST_PACKET = 32 * 1024 ** 2

/**
 * Throws, with what to set, where a server is unsuited: it takes no photo, or it logs statements for others to repeat,
 * which it refuses to do for transactions that see what others committed.
 */
export async function refuseServer(sequelize: Sequelize): Promise<void> {
  const [row] = await sequelize.query<{ packet: unknown; logs: unknown; format: string }>(
    'SELECT @@global.max_allowed_packet AS packet, @@global.log_bin AS logs, @@global.binlog_format AS format',
    { type: QueryTypes.SELECT },
  )
  const { packet, logs, format } = row!
  if (Number(packet) < LEAST_PACKET)
    throw new Error(
      `this MariaDB takes ${Math.floor(Number(packet) / 1024 ** 2)} MB at a time, `
      + 'and a photo of 10 MB needs 32: set max_allowed_packet = 64M in its settings and restart it',
    )
  if (Number(logs) === 1 && format !== 'ROW')
    throw new Error(
      `this MariaDB keeps a binary log by ${format.toLowerCase()}, and two people who write at the same moment need it by row: `
      + 'set binlog_format = ROW in its settings and restart it. Nothing was changed',
    )
}
