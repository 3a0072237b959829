export { type Label, placeLabels, type PlacedLabel, wordX } from './place-labels.ts';
export { labelledPicture, smallPicture } from './small-picture.ts';
