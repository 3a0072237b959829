export { recordTasks } from './heavy-tasks.ts';
export { Reading, SetAside } from './reading.entity.ts';
export { type Observer, ReadingsService } from './readings.service.ts';
export { ReadingsModule } from './readings.module.ts';
