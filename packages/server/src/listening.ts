import { createServer, type RequestListener, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';

/** Where to listen, and the variable by which that is set. Port 0 is any free one. */
export interface Place {
  readonly host: string;
  readonly port: number;
  readonly variable: string;
}

/** How long a request may take to arrive, in ms. */
export interface ArrivalLimits {
  readonly head: number;
  /** The whole of it, with its body. */
  readonly whole: number;
}
const usual: ArrivalLimits = { head: 15_000, whole: 120_000 };

/**
 * A server that closes connections on which a request does not arrive in time. A client that goes away is the
 * end of its request, whatever is being sent or read then.
 */
export function serverFor(answer: RequestListener, { head, whole }: ArrivalLimits = usual): Server {
  const server = createServer({
    headersTimeout: head,
    requestTimeout: whole,
    connectionsCheckingInterval: Math.min(5000, head),
  });
  return server.on('request', (request, response) => {
    for (const stream of [request, response]) stream.on('error', () => undefined);
    answer(request, response);
  });
}

/** Listens and gives the address, or fails with a sentence that says what to do. */
export function listening(server: Server, { host, port, variable }: Place): Promise<string> {
  return new Promise((done, fail) => {
    server.once('error', (error: NodeJS.ErrnoException) => {
      const isTaken = error.code === 'EADDRINUSE';
      fail(
        isTaken
          ? new Error(
              `The port ${port} is used by another program. Stop that program, or set ${variable} to a free port.`,
            )
          : error,
      );
    });
    server.listen({ host, port }, () => done(addressOf(host, (server.address() as AddressInfo).port)));
  });
}

function addressOf(host: string, port: number): string {
  return `http://${host.includes(':') ? `[${host}]` : host}:${port}`;
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
