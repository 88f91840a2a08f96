import { vi } from 'vitest';

/**
 * How long `vi.waitFor` waits for what comes to be, in ms. Its own second is too short on a busy machine;
 * this only decides when to give up.
 */
const PATIENCE = 30_000;

const waitFor = vi.waitFor;
vi.waitFor = (look, options) => {
  const { timeout = 0, ...rest } = typeof options === 'number' ? { timeout: options } : (options ?? {});
  return waitFor(look, { ...rest, timeout: Math.max(timeout, PATIENCE) });
};
