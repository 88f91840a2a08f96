import type { PartHandler } from './partHandler.ts';

/** What is around the bands of an area is written by the frame. */
export const area: PartHandler<'area'> = { html: (part, within) => within.inside(part) };
