export { Answer } from './answer-tab.tsx';
export {
  type CompareChoices,
  CompareProvider,
  type ShownComparison,
  useComparison,
} from './compare-context.tsx';
export { ShuffleWatch } from './shuffle-watch.tsx';
