/** A moment as the person’s browser writes it, without seconds. */
export function momentOf(at: string): string {
  return new Date(at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });
}
