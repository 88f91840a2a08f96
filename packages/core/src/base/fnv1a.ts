/** What a hash begins with. */
export const FNV_START = 0x811c9dc5;

/** FNV-1a over UTF-16 units (G. Fowler, L. C. Noll, K.-P. Vo): 32 bits with a sign, going on from another hash. O(text). */
export function fnv1a(text: string, from: number = FNV_START): number {
  let hash = from;
  for (let at = 0; at < text.length; at += 1) hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193);
  return hash;
}
