/** Reading and writing design tokens, apart from the sheet that offers it: it is loaded when somebody does. */
export { readDesignTokens, writeCustomProperties, writeDesignTokens } from '@zorvik/formats';
