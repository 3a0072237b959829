export {
  type Check,
  checksFromCounts,
  checksFromUnits,
  type Emergence,
  emergences,
  type SownUnit,
  waitsOf,
} from './checks.ts';
export { type GerminationIndices, germinationIndices } from './indices.ts';
