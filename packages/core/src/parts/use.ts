import { shownIf, type PartHandler } from './partHandler.ts';

/** What it shows is resolved to the part that it is of; see `resolveFrame`. */
export const use: PartHandler<'use'> = {
  resolve: (_, { base }) => shownIf(false, base),
  html: () => [],
};
