/** Every icon of the set by its name, as `content-copy` for `mdiContentCopy`. Large: loaded when somebody looks for one. */
export async function iconSet(): Promise<readonly { readonly name: string; readonly path: string }[]> {
  const all = await import('@mdi/js');
  return Object.entries(all).flatMap(([key, path]) => (typeof path === 'string' ? [{ name: nameOf(key), path }] : []));
}

function nameOf(key: string): string {
  return key
    .slice('mdi'.length)
    .replaceAll(/([A-Z]|\d+)/g, '-$1')
    .replace(/^-/, '')
    .toLowerCase();
}
