// Tells whether something made is older than what it is made of. No dependencies: it runs before there are
// any.
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { mkdir, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('..', import.meta.url));

/** A short text that changes when any file below `paths` does: by path, size and time of change. */
export function fingerprint(paths) {
  const hash = createHash('sha256');
  const visit = (path) => {
    const found = statSync(path, { throwIfNoEntry: false });
    if (found === undefined) return;
    if (!found.isDirectory()) return void hash.update(`${path} ${found.size} ${found.mtimeMs}\n`);
    for (const name of readdirSync(path).sort()) if (name !== 'node_modules') visit(join(path, name));
  };
  for (const path of paths) visit(join(root, path));
  return hash.digest('hex');
}

/** Runs `make` unless `stamp` says that it was run on exactly these files. */
export async function unlessFresh(stamp, paths, make, product) {
  const now = fingerprint(paths);
  const file = join(root, stamp);
  const isFresh = existsSync(file) && readFileSync(file, 'utf8') === now && existsSync(join(root, product));
  if (isFresh) return false;
  await make();
  await mkdir(dirname(file), { recursive: true });
  await writeFile(file, now);
  return true;
}
