export {
  type Claims,
  claimsOf,
  isTold,
  type KeptPromise,
  keptPromise,
  type PlannedDesign,
  type Rate,
} from './calibrate.ts';
export { simulatedClasses, type Situation } from './simulated-class.ts';
export { FALSE_CLAIMS, type OtherClaim, SHOWN_INTERVALS } from './other-claims.ts';
