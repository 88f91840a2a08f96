/** Reading and writing frames as files, apart from the sheet that offers it: it brings the parser of HTML along. */
export { readFrameFile, writeFrameFile } from '@zorvik/formats';
