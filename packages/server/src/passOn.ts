import { Agent, request as ask, type IncomingMessage, type RequestListener, type ServerResponse } from 'node:http';
import { catalogue, refusal } from '@zorvik/core';

/** Headers that are about one connection and not about the message (RFC 9110, 7.6.1). */
const OF_THE_CONNECTION = new Set(['connection', 'keep-alive', 'transfer-encoding', 'upgrade', 'te', 'trailer', 'proxy-connection']);

/** Passes requests on to the server that listens on a socket of this machine, and its answers back, both as streams. */
export function passOn(socketPath: string): RequestListener {
  const agent = new Agent({ keepAlive: true });
  return (request, response) => {
    const { method, url, headers } = request;
    const outgoing = ask({ socketPath, agent, method, path: url, headers: ownHeaders(headers) }, (reply) => answer(reply, response));
    outgoing.on('error', () => away(response));
    // A person who leaves leaves the work undone: the other side hears of it.
    response.on('close', () => void (response.writableFinished || outgoing.destroy()));
    request.pipe(outgoing);
  };
}

function answer(reply: IncomingMessage, response: ServerResponse): void {
  response.writeHead(reply.statusCode ?? 502, ownHeaders(reply.headers));
  // The head goes at once: an event stream may say nothing for long.
  if (reply.headers['content-length'] === undefined) response.flushHeaders();
  reply.on('error', () => response.destroy());
  reply.on('aborted', () => response.destroy());
  reply.pipe(response);
}

function ownHeaders(headers: IncomingMessage['headers']): IncomingMessage['headers'] {
  return Object.fromEntries(Object.entries(headers).filter(([name]) => !OF_THE_CONNECTION.has(name)));
}

function away(response: ServerResponse): void {
  if (response.headersSent) return void response.destroy();
  const { code, message, params } = refusal('serverAway');
  response
    .writeHead(catalogue.serverAway.status, { 'Content-Type': 'application/json; charset=utf-8', 'Cache-Control': 'no-store' })
    .end(JSON.stringify({ error: { code, message, params } }));
}
