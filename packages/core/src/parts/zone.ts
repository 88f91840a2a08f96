import { container } from './html.ts';
import type { PartHandler } from './partHandler.ts';

/** An empty zone keeps its place, so that the centre stays in the centre. */
export const zone: PartHandler<'zone'> = {
  html: (part, within, classes) =>
    container(part, within, ` zv-zone zv-zone-${part.at ?? 'start'}${classes}`),
};
