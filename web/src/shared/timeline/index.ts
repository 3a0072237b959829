export { Timeline } from './timeline.tsx';
