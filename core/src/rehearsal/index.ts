export {
  EFFECT_TARGETS,
  type EffectTarget,
  type Rehearsal,
  type RehearsalSetUp,
  rehearseClass,
  type RehearsedClass,
  rehearsedComparison,
  RESULTS,
  type Result,
  setUpRehearsal,
  summarise,
  type SupposedEffect,
} from './rehearse.ts';
