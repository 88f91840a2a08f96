/**
 * What a page's address is compared by: its path without query and fragment, percent-decoded once, with no slash
 * at its end. What cannot be decoded is compared as it is.
 */
export function pathKey(address: string): string {
  const path = decoded(/^[^?#]*/.exec(address)?.[0] ?? '');
  let end = path.length;
  while (end > 1 && path[end - 1] === '/') end -= 1;
  return path.slice(0, end);
}

function decoded(path: string): string {
  if (!path.includes('%')) return path;
  try {
    return decodeURIComponent(path);
  } catch {
    // Not UTF-8, or a lone %: such an address leads somewhere all the same.
    return path;
  }
}
