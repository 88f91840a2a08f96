import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { createSite } from './site.ts';

/** Where menus are delivered, and where this site is to stand. */
const delivery = process.env.DELIVERY_ADDRESS ?? `http://127.0.0.1:${process.env.DELIVERY_PORT || 4782}`;
const port = Number(process.env.SITE_PORT || 4781);

const server: Server = createServer(
  createSite(delivery, () => `http://127.0.0.1:${(server.address() as AddressInfo).port}`),
);
const stop = (): void => {
  process.off('SIGINT', stop).off('SIGTERM', stop);
  server.close();
  server.closeAllConnections();
};
// Before anybody can read that it is ready: they may ask it to stop at once.
process.on('SIGINT', stop).on('SIGTERM', stop);

await new Promise<void>((done, fail) => {
  server.once('error', fail);
  server.listen(port, '127.0.0.1', done);
}).then(
  () => console.log(`The stand-in site at http://127.0.0.1:${(server.address() as AddressInfo).port}`),
  (error: NodeJS.ErrnoException) => {
    console.error(
      error.code === 'EADDRINUSE'
        ? `The port ${port} is taken by another program. Stop that one, or set SITE_PORT to a free one.`
        : error.message,
    );
    process.exitCode = 1;
    process.kill(process.pid, 'SIGTERM');
  },
);
