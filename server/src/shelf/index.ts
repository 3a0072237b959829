export { ShelfModule } from './shelf.module.ts';
