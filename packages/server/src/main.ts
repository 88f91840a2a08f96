import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { readConfig } from './config.ts';
import { startServer } from './startServer.ts';

/** The built parts stand beside this file's own folder. */
function part(path: string): string | null {
  const found = fileURLToPath(new URL(`../${path}`, import.meta.url));
  return existsSync(found) ? found : null;
}

try {
  const config = readConfig(process.env);
  const server = await startServer(
    config,
    {
      migrations: part('migrations') ?? fileURLToPath(new URL('./db/migrations', import.meta.url)),
      template: part('pglite-template'),
      webFolder: part('web'),
      firstSite: part('demo/quillmere.json'),
      readingThread: part('server/readingThread.js'),
      pictureThread: part('server/pictureThread.js'),
    },
    new URL('./editorThread.js', import.meta.url),
  );
  const stop = (): void => {
    process.off('SIGINT', stop).off('SIGTERM', stop);
    server.close().catch((error: unknown) => {
      console.error(error);
      process.exitCode = 1;
    });
  };
  // Before anybody can read that it is ready: they may ask it to stop at once.
  process.on('SIGINT', stop).on('SIGTERM', stop);
  console.log(`Menus are delivered at ${server.deliveryAddress}\nZorvik ready at ${server.address}`);
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
}
