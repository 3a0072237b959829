export { Pot, usePotLabel } from './pot.tsx';
export { Sill, type SillProps } from './sill.tsx';
export { type Direction, neighbour } from './walk.ts';
