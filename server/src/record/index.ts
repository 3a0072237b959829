export { Reading } from './reading.entity.ts';
export { ReadingsService } from './readings.service.ts';
export { RecordModule } from './record.module.ts';
