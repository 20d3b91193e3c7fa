/** A sent quote as a file. */
export { quotePdf as default } from './paper.js';
