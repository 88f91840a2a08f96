import { shownIf, type PartHandler } from './partHandler.ts';

/** It decides about the part that it stands in, and is never seen itself. */
export const exception: PartHandler<'exception'> = {
  resolve: (_, { base }) => shownIf(false, base),
  html: () => [],
};
