export { DeviceStudent, SchoolClass, Student, StudentDevice, Team } from './class.entities.ts';
export { ClassesModule } from './classes.module.ts';
export { ClassesService } from './classes.service.ts';
