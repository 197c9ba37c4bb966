import { connect, type Socket } from 'node:net'

/**
 * Opens a line to the database that sends statements of one moment together: each on its own costs a call of the system
 * and wakes the server.
 */
export const gatheringStream = (host: string, port: number) => (): Socket => {
  const socket = connect(port, host).setNoDelay(true)
  const write = socket.write.bind(socket)
  let isGathering = false
  socket.write = ((...sent: Parameters<Socket['write']>) => {
    if (!isGathering) {
      isGathering = true
      socket.cork()
      process.nextTick(() => {
        isGathering = false
        socket.uncork()
      })
    }
    return write(...sent)
  }) as Socket['write']
  return socket
}
