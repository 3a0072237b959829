export { CurrentDevice, DEVICE_COOKIE, deviceTokenOf, type StudentRequest } from './current-device.ts';
export { DevicesService, type JoinedDevice } from './devices.service.ts';
export { type KnownStudent, OwnWorkService } from './own-work.service.ts';
export { PracticeReading } from './practice-reading.entity.ts';
export { StudentModule } from './student.module.ts';
