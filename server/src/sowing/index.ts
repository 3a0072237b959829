export { SowingModule } from './sowing.module.ts';
export { SowingTick } from './sowing-tick.entity.ts';
export { TicksService } from './ticks.service.ts';
