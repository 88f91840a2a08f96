import { parentPort } from 'node:worker_threads';
import { makers, type FromPictureThread, type ToPictureThread } from './pictureMaker.ts';

/**
 * The thread in which uploaded pictures are unpacked, drawings are sanitised and fonts are read. It is ended from outside
 * when one takes too long.
 */
const port = parentPort;
if (port === null) throw new Error('This runs as a thread of the editor.');

port.on('message', ({ as, bytes }: ToPictureThread) => {
  void makers[as](Buffer.from(bytes)).then((made: FromPictureThread) => port.postMessage(made));
});
