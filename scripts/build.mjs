// Builds each part into build/. Called by setup.mjs when the part is stale.
import { spawn } from 'node:child_process';
import { cp, mkdir, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { build as bundle } from 'esbuild';
import { root } from './freshness.mjs';

const at = (...path) => join(root, ...path);

/**
 * One file for Node. PGlite stays outside: it loads its own WebAssembly from beside itself; so do packages
 * with native or many files.
 */
async function bundleForNode(entry, outfile) {
  await bundle({
    entryPoints: [at(entry)],
    outfile: at(outfile),
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    sourcemap: true,
    external: ['@electric-sql/pglite', 'pg-native', 'sharp', 'jsdom', 'dompurify', 'fontkit', 'harfbuzzjs'],
    // Packages written for CommonJS ask for `require`.
    banner: {
      js: "import { createRequire as zorvikRequire } from 'node:module'; const require = zorvikRequire(import.meta.url);",
    },
    logLevel: 'warning',
  });
}

export async function buildServer() {
  await rm(at('build/server'), { recursive: true, force: true });
  await bundleForNode('packages/server/src/main.ts', 'build/server/main.js');
  await bundleForNode('packages/server/src/editorThread.ts', 'build/server/editorThread.js');
  await bundleForNode('packages/server/src/reading/readingThread.ts', 'build/server/readingThread.js');
  await bundleForNode('packages/server/src/editing/pictureThread.ts', 'build/server/pictureThread.js');
  await bundleForNode('packages/server/src/archiveMain.ts', 'build/server/archive.js');
  await rm(at('build/migrations'), { recursive: true, force: true });
  await cp(at('packages/server/src/db/migrations'), at('build/migrations'), { recursive: true });
}

export async function buildDemo() {
  await rm(at('build/site'), { recursive: true, force: true });
  await bundleForNode('demo/site/main.ts', 'build/site/main.js');
  await cp(at('demo/site/assets'), at('build/site/assets'), { recursive: true });
  for (const face of ['fraunces', 'commissioner']) {
    await cp(
      at(`node_modules/@fontsource-variable/${face}/files/${face}-latin-wght-normal.woff2`),
      at(`build/site/assets/${face}.woff2`),
    );
  }
  await bundleForNode('demo/quillmere/quillmereDocument.ts', 'build/demo/quillmereDocument.js');
  await cp(at('demo/quillmere/pictures'), at('build/demo/pictures'), { recursive: true });
  // Quillmere's own fonts come with its document, as if somebody had uploaded them.
  for (const face of ['fraunces', 'commissioner']) {
    await cp(at(`build/site/assets/${face}.woff2`), at(`build/demo/pictures/${face}.woff2`));
  }
  const { quillmereDocument } = await import(`${at('build/demo/quillmereDocument.js')}?${Date.now()}`);
  await mkdir(at('build/demo'), { recursive: true });
  await writeFile(at('build/demo/quillmere.json'), JSON.stringify(quillmereDocument()));
}

/** An empty PGlite folder: initdb takes seconds, a copy of its result does not. */
export async function buildTemplate() {
  const { PGlite } = await import('@electric-sql/pglite');
  await rm(at('build/pglite-template'), { recursive: true, force: true });
  await mkdir(at('build'), { recursive: true });
  const client = await PGlite.create(at('build/pglite-template'));
  await client.close();
}

/** The same with the present schema in it, for tests: to open a copy of it costs no migration. */
export async function buildMigrated() {
  const [{ PGlite }, { drizzle }, { migrate }] = await Promise.all([
    import('@electric-sql/pglite'),
    import('drizzle-orm/pglite'),
    import('drizzle-orm/pglite/migrator'),
  ]);
  const folder = at('build/pglite-migrated');
  await rm(folder, { recursive: true, force: true });
  await cp(at('build/pglite-template'), folder, { recursive: true });
  const client = await PGlite.create(folder);
  await migrate(drizzle(client), { migrationsFolder: at('packages/server/src/db/migrations') });
  await client.close();
}

/**
 * The data folder of a server that was started once and stopped: a first start takes seconds, a copy of its
 * result does not.
 */
export async function buildQuillmereData() {
  const folder = at('build/quillmere-data');
  await rm(folder, { recursive: true, force: true });
  const environment = { ...process.env, PORT: '0', DELIVERY_PORT: '0', SITE_PORT: '0', ZORVIK_DATA: folder };
  const child = spawn(process.execPath, [at('build/server/main.js')], {
    env: environment,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  child.stdout.on('data', (piece) => String(piece).includes('Zorvik ready') && child.kill('SIGTERM'));
  const code = await new Promise((done) => child.once('exit', done));
  if (code !== 0)
    throw new Error('The server did not start, so there is no data for the tests. The lines above say why.');
}

export async function buildWeb() {
  const { build } = await import('vite');
  // Who builds it for tests builds the same as for everybody, and not what Vue is while somebody develops.
  const { NODE_ENV } = process.env;
  process.env.NODE_ENV = 'production';
  await build({
    root: at('packages/web'),
    configFile: at('packages/web/vite.config.ts'),
    logLevel: 'warn',
  }).finally(() => {
    if (NODE_ENV === undefined) delete process.env.NODE_ENV;
    else process.env.NODE_ENV = NODE_ENV;
  });
}
