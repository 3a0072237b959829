export {
  cleanPicture,
  mediaTypeOf,
  pictureOf,
  sameOrCleanPicture,
  sizeOf,
  smallOf,
} from './clean-picture.ts';
export { JournalEntry } from './journal-entry.entity.ts';
export { JournalModule } from './journal.module.ts';
export { JournalService } from './journal.service.ts';
