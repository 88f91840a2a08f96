import { definePart, IN_CELLS } from './definePart.ts';
import { destination, isRounded, opensNewTab, picture, ratio, text } from './fields.ts';
import { inFrame } from './frameFields.ts';

/** A preview image with a link to a video. */
export const video = definePart({
  kind: 'video',
  name: 'video',
  about: 'preview image with a link',
  standsIn: IN_CELLS,
  always: { text: text('Name'), destination: destination('Video address') },
  maybe: { picture: picture('Preview image'), opensNewTab, ratio, isRounded, ...inFrame },
  begin: () => [{ kind: 'video', text: 'Video', destination: { kind: 'undecided' } }],
});
