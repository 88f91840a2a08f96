type Granted = (lock: { readonly name: string } | null) => unknown;
interface Wanted {
  readonly ifAvailable?: boolean;
  readonly signal?: AbortSignal;
}

/** The Web Locks that jsdom lacks (W3C "Web Locks API"), exclusive ones, for all tabs that a test opens. */
export function fakeLocks() {
  const queues = new Map<string, Promise<unknown>>();
  const held = new Set<string>();
  return {
    async request(name: string, ...words: readonly [Granted] | readonly [Wanted, Granted]): Promise<unknown> {
      const granted = words.length === 1 ? words[0] : words[1];
      const { ifAvailable = false, signal } = words.length === 1 ? {} : words[0];
      if (ifAvailable && held.has(name)) return granted(null);
      const before = held.has(name) ? queues.get(name) : undefined;
      const run = (async () => {
        await before?.catch(() => undefined);
        if (signal?.aborted === true) return undefined;
        held.add(name);
        try {
          return await granted({ name });
        } finally {
          held.delete(name);
        }
      })();
      held.add(name);
      queues.set(name, run);
      return run;
    },
  };
}
