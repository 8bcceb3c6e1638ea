/** What is measured on a photo: one program, fetched when the first of it is wanted. */
export { MeasureOnPhoto } from './MeasureOnPhoto';
export { OutlineOnPhoto } from './OutlineOnPhoto';
