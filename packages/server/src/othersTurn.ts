/** Lets other requests have their turn in the middle of long work. */
export function othersTurn(): Promise<void> {
  return new Promise((done) => void setImmediate(done));
}
