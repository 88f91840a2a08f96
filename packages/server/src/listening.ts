import type { Server } from 'node:http';
import type { ListenOptions } from 'node:net';

/** Listens, or fails with a sentence that says what to do. */
export function listening(server: Server, where: ListenOptions): Promise<void> {
  return new Promise((done, fail) => {
    server.once('error', (error: NodeJS.ErrnoException) => {
      const isTaken = error.code === 'EADDRINUSE';
      fail(isTaken ? new Error(`The port ${where.port} is taken by another program. Stop that one, or set PORT to a free one.`) : error);
    });
    server.listen(where, done);
  });
}

/** How long requests under way may take to finish, in ms. */
const PATIENCE = 3000;

export function stopListening(server: Server): Promise<void> {
  return new Promise((done) => {
    const hurry = setTimeout(() => server.closeAllConnections(), PATIENCE);
    server.close(() => {
      clearTimeout(hurry);
      done();
    });
    server.closeIdleConnections();
  });
}
