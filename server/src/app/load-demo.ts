import { DEMO_EMAIL, DEMO_TEACHER, demoExperiments, demoSeedLots } from '@bright-sprout/demo';
import type { INestApplicationContext } from '@nestjs/common';
import { getDataSourceToken } from '@nestjs/typeorm';
import type { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { ExchangeService } from '../exchange/index.ts';
import { Teacher, TeachersService } from '../people/index.ts';
import { SeedLot } from '../plan/index.ts';
import { Clock } from '../shared/index.ts';

/** Number of teachers there are. */
export function countTeachers(app: INestApplicationContext): Promise<number> {
  return app.get<DataSource>(getDataSourceToken()).getRepository(Teacher).count();
}

/** True when there is a demo teacher with this password. */
export async function demoHasPassword(app: INestApplicationContext, password: string): Promise<boolean> {
  const teacher = await app.get(TeachersService).find({ email: DEMO_EMAIL, password });
  return teacher !== undefined;
}

/** Makes the made-up school anew: its teacher and experiments are replaced, all others stay untouched. */
export async function loadDemo(app: INestApplicationContext, password: string): Promise<void> {
  const source = app.get<DataSource>(getDataSourceToken());
  await source.getRepository(Teacher).delete({ email: DEMO_EMAIL });
  const teacher = await app
    .get(TeachersService)
    .register({ ...DEMO_TEACHER, email: DEMO_EMAIL, password }, true);
  const clock = app.get(Clock);
  const today = clock.today(teacher.timeZone);
  for (const { cropId, name, ...figures } of demoSeedLots(today)) {
    await source.getRepository(SeedLot).save({ id: uuid(), teacherId: teacher.id, cropId, name, figures });
  }
  for (const { hypothesis, status, plan, experiment } of demoExperiments(today)) {
    await app
      .get(ExchangeService)
      .insert({ id: uuid(), teacherId: teacher.id, hypothesis, status, plan }, experiment);
  }
}
