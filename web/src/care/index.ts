export { CareView } from './care-view.tsx';
