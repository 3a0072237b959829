import 'reflect-metadata';
import { NestFactory } from '@nestjs/core';
import { resetPassword } from '../accounts/index.ts';
import { readSettings } from '../shared/index.ts';
import { AppModule } from './app.module.ts';

const [email = ''] = process.argv.slice(2);
const app = await NestFactory.createApplicationContext(AppModule.with(readSettings(process.env)), {
  logger: ['error', 'warn'],
});
const password = await resetPassword(app, email);
await app.close();
if (password === undefined) {
  console.error(`There is no account with the address ${email}.`);
  process.exitCode = 1;
} else {
  console.log(`New password of ${email}: ${password}`);
  console.log('Every device is signed out. The password is shown once: change it after signing in.');
}
