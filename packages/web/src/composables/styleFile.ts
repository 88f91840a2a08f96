/** Reading and writing looks as a file, apart from the sheet that offers it: it is loaded when somebody does. */
export { readStyleFile, writeStyleFile } from '@zorvik/formats';
