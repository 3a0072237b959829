import 'reflect-metadata';
import { workerData } from 'node:worker_threads';
import { NestFactory } from '@nestjs/core';
import { move } from 'piscina';
import { sentFailure, type Settings, type WorkerJob } from '../shared/index.ts';
import { AppModule } from './app.module.ts';
import { HEAVY_TASKS } from './heavy-tasks.ts';

/** Connections of a thread: it does one thing at a time. */
const CONNECTIONS = 4;

const settings = workerData as Settings;
type Context = Awaited<ReturnType<typeof NestFactory.createApplicationContext>>;

let made: Promise<Context> | undefined;

/** The services of this thread. Where the database could not be reached when they were to be made, they are made anew. */
function services(): Promise<Context> {
  made ??= NestFactory.createApplicationContext(AppModule.with(settings, CONNECTIONS), {
    logger: settings.logLevel === 'silent' ? false : ['error', 'warn'],
    abortOnError: false,
  });
  made.catch(() => (made = undefined));
  return made;
}

void services().catch(() => undefined);

/** Does one piece of heavy work in this thread, with services and database connections of its own. */
export default async function work({ task, input }: WorkerJob): Promise<unknown> {
  try {
    const known = HEAVY_TASKS.get(task);
    if (!known) throw new Error(`no heavy task is called ${task}`);
    const done = await known.run(await services(), input as never);
    return move(
      done instanceof Uint8Array
        ? done
        : new TextEncoder().encode(done === undefined ? '' : JSON.stringify(done)),
    );
  } catch (thrown) {
    return { failure: sentFailure(thrown) };
  }
}
