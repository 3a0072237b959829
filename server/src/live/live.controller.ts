import { say } from '@bright-sprout/words/refusals';
import { liveRoutes } from '@bright-sprout/contract/live';
import { Controller, Inject, type OnModuleDestroy, Param, Req, Res } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { Request, Response } from 'express';
import { DataSource } from 'typeorm';
import { CurrentTeacher, type KnownTeacher, SessionsService, tokenOf } from '../accounts/index.ts';
import { Experiment } from '../plans/index.ts';
import { ApiError, Operation, type Settings, SETTINGS } from '../shared/index.ts';
import { RightsService } from '../sharing/index.ts';
import { CurrentDevice, DevicesService, deviceTokenOf, type JoinedDevice } from '../student/index.ts';
import { type Audience, ChangesFeed } from './changes-feed.ts';

/** Streams that a teacher, or a device, may have open: some windows, and one that was not closed well. */
const MOST_STREAMS: Readonly<Record<Audience, number>> = { teacher: 12, device: 4 };

/** Streams of all devices of a class: four for each student of the largest. */
const MOST_OF_CLASS = 240;

/** What may wait for a reader who does not read, in bytes. */
const MOST_UNREAD = 262_144;

/** Server-sent events. */
@Controller()
export class LiveController implements OnModuleDestroy {
  readonly #open = new Map<Response, { readonly listener: string; readonly classId: string }>();

  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly feed: ChangesFeed,
    private readonly sessions: SessionsService,
    private readonly devices: DevicesService,
    private readonly rights: RightsService,
    @Inject(SETTINGS) private readonly settings: Settings,
  ) {}

  @Operation(liveRoutes.changes)
  changes(
    @Param('experimentId') experimentId: string,
    @CurrentTeacher() teacher: KnownTeacher,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    const token = tokenOf(request);
    const isIn = async (): Promise<boolean> =>
      (await this.sessions.goesOn(token)) && (await this.rights.maySee(teacher, experimentId));
    const listener = { listener: teacher.id, classId: '' };
    return this.#stream(new Set([experimentId]), 'teacher', listener, response, isIn);
  }

  @Operation(liveRoutes.classChanges)
  async classChanges(
    @CurrentDevice() device: JoinedDevice,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    const experiments = await this.source
      .getRepository(Experiment)
      .find({ where: { classId: device.classId }, select: { id: true } });
    const token = deviceTokenOf(request);
    const isIn = async (): Promise<boolean> => (await this.devices.find(token)) !== undefined;
    const listener = { listener: device.id, classId: device.classId };
    return this.#stream(new Set(experiments.map(({ id }) => id)), 'device', listener, response, isIn);
  }

  onModuleDestroy(): void {
    for (const response of this.#open.keys()) response.end();
  }

  async #stream(
    experimentIds: ReadonlySet<string>,
    audience: Audience,
    whose: { readonly listener: string; readonly classId: string },
    response: Response,
    isStillIn: () => Promise<boolean>,
  ): Promise<void> {
    const open = [...this.#open.values()];
    const own = open.filter(({ listener }) => listener === whose.listener).length;
    const ofClass = open.filter(({ classId }) => classId !== '' && classId === whose.classId).length;
    if (own >= MOST_STREAMS[audience] || ofClass >= MOST_OF_CLASS) {
      throw new ApiError('too_busy', say('tooManyWindowsAreOpenAt'));
    }
    this.#open.set(response, whose);
    const send = (text: string): void => {
      if (response.writableLength > MOST_UNREAD) response.destroy();
      else if (!response.writableEnded) response.write(text);
    };
    const listening = this.feed.listen(experimentIds, audience, (data) =>
      send(`event: change\ndata: ${data}\n\n`),
    );
    // Who was signed out, whose class has a new code or whose share ended hears nothing more.
    const beat = async (): Promise<void> => {
      if (await isStillIn().catch(() => true)) send('event: beat\ndata: {}\n\n');
      else response.end();
    };
    const heartbeat = setInterval(() => void beat(), this.settings.beatMs);
    response.once('close', () => {
      clearInterval(heartbeat);
      this.#open.delete(response);
      void listening.then((stop) => stop()).catch(() => undefined);
    });
    await listening;
    response.setHeader('Content-Type', 'text/event-stream; charset=utf-8');
    response.setHeader('Cache-Control', 'no-store, no-transform');
    response.setHeader('X-Accel-Buffering', 'no');
    response.flushHeaders();
    send('event: beat\ndata: {}\n\n');
  }
}
