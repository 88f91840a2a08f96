import { parentPort } from 'node:worker_threads';
import { makePicture } from './makePicture.ts';
import type { FromPictureThread, ToPictureThread } from './pictureMaker.ts';

/**
 * The thread in which uploaded pictures are unpacked and drawings are sanitised. It is ended from outside
 * when one takes too long.
 */
const port = parentPort;
if (port === null) throw new Error('This runs as a thread of the editor.');

port.on('message', ({ bytes }: ToPictureThread) => {
  void makePicture(Buffer.from(bytes)).then((made: FromPictureThread) => port.postMessage(made));
});
