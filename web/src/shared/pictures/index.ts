export { type Label, labelledPicture, smallPicture } from './small-picture.ts';
