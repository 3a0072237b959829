export { OpenFile } from './open-file.tsx';
