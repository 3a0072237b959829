export { PlantFromSide } from './plant-from-side.tsx';
export { PotFromAbove } from './pot-from-above.tsx';
export { PotFromSide } from './pot-from-side.tsx';
export { MarkShape, TreatmentMark } from './treatment-mark.tsx';
export { treatmentStyle } from './treatment-style.ts';
