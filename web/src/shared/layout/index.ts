export { Pot, usePotLabel } from './pot.tsx';
export { UnitLayout, type UnitLayoutProps } from './unit-layout.tsx';
export { type Direction, neighbour } from './walk.ts';
