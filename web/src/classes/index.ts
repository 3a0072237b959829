export { Tile } from './tiles.tsx';
