export { Ribbon } from './ribbon.tsx';
