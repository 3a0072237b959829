export { type Label, placeLabels, type PlacedLabel, wordX } from './place-labels.ts';
export { labelledPicture, pictureAddress, smallPicture } from './small-picture.ts';
