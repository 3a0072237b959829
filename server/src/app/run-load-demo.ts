import 'reflect-metadata';
import { NestFactory } from '@nestjs/core';
import { readSettings } from '../shared/index.ts';
import { AppModule } from './app.module.ts';
import { countTeachers, demoHasPassword, isDemoHalf, loadDemo } from './load-demo.ts';

/** Exit code when there is no demo, or one with a password that another server made. */
const DEMO_MADE_ELSEWHERE = 3;

const password = process.env.BRIGHT_SPROUT_DEMO_PASSWORD ?? '';
if (password === '') throw new Error('BRIGHT_SPROUT_DEMO_PASSWORD is not set');
const isReset = process.argv.includes('--fresh');
const app = await NestFactory.createApplicationContext(AppModule.with(readSettings(process.env)), {
  logger: ['error', 'warn'],
});
if (isReset || (await countTeachers(app)) === 0 || (await isDemoHalf(app, password))) {
  await loadDemo(app, password);
  console.log('demo loaded');
}
const hasThisPassword = await demoHasPassword(app, password);
await app.close();
if (!hasThisPassword) process.exitCode = DEMO_MADE_ELSEWHERE;
