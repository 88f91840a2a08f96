import { shownIf, type PartHandler } from './partHandler.ts';

/** It says what its area does, and is never seen itself. */
export const behaviour: PartHandler<'behaviour'> = {
  resolve: (_, { base }) => shownIf(false, base),
  html: () => [],
};
