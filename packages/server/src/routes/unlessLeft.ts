import type { Response } from 'express';

/** Waits for work on a stream. A client that went away meanwhile is the end of it and no failure; any other error is thrown. */
export async function unlessLeft(response: Response, work: Promise<unknown>): Promise<void> {
  await work.catch((error: unknown) => {
    if (!response.destroyed) throw error;
  });
}
