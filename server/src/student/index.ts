export { deviceTokenOf, type StudentRequest } from './current-device.ts';
export { DevicesService } from './devices.service.ts';
export { StudentModule } from './student.module.ts';
