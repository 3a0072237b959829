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

/** Streams that one teacher or one device may have open: some windows, and one that was not closed well. */
const MOST_STREAMS = 12;

/** What may wait for a reader who does not read, in bytes. */
const MOST_UNREAD = 262_144;

/** Server-sent events. */
@Controller()
export class LiveController implements OnModuleDestroy {
  readonly #open = new Map<Response, string>();

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
    return this.#stream(new Set([experimentId]), 'teacher', teacher.id, response, isIn);
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
    return this.#stream(new Set(experiments.map(({ id }) => id)), 'device', device.id, response, isIn);
  }

  onModuleDestroy(): void {
    for (const response of this.#open.keys()) response.end();
  }

  async #stream(
    experimentIds: ReadonlySet<string>,
    audience: Audience,
    listener: string,
    response: Response,
    isStillIn: () => Promise<boolean>,
  ): Promise<void> {
    const own = [...this.#open.values()].filter((one) => one === listener).length;
    if (own >= MOST_STREAMS) {
      throw new ApiError('too_busy', say('tooManyWindowsAreOpenAt'));
    }
    this.#open.set(response, listener);
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
