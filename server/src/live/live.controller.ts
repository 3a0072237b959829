import { liveRoutes } from '@bright-sprout/contract/live';
import { Controller, type OnModuleDestroy, Param, Res } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { Response } from 'express';
import { DataSource } from 'typeorm';
import { Experiment } from '../plan/index.ts';
import { Operation } from '../shared/index.ts';
import { CurrentDevice, type JoinedDevice } from '../student/index.ts';
import { ChangesFeed } from './changes-feed.ts';

/** A line now and then keeps proxies from closing a quiet stream. */
const HEARTBEAT_MS = 20_000;

/** Server-sent events. */
@Controller()
export class LiveController implements OnModuleDestroy {
  readonly #open = new Set<Response>();

  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly feed: ChangesFeed,
  ) {}

  @Operation(liveRoutes.changes)
  changes(@Param('experimentId') experimentId: string, @Res() response: Response): Promise<void> {
    return this.#stream(new Set([experimentId]), response);
  }

  @Operation(liveRoutes.classChanges)
  async classChanges(@CurrentDevice() device: JoinedDevice, @Res() response: Response): Promise<void> {
    const experiments = await this.source
      .getRepository(Experiment)
      .find({ where: { classId: device.classId }, select: { id: true } });
    return this.#stream(new Set(experiments.map(({ id }) => id)), response);
  }

  onModuleDestroy(): void {
    for (const response of this.#open) response.end();
  }

  async #stream(experimentIds: ReadonlySet<string>, response: Response): Promise<void> {
    response.setHeader('Cache-Control', 'no-store, no-transform');
    response.setHeader('X-Accel-Buffering', 'no');
    response.flushHeaders();
    this.#open.add(response);
    const stop = await this.feed.listen(experimentIds, (event) => {
      response.write(`event: change\ndata: ${JSON.stringify(event)}\n\n`);
    });
    const heartbeat = setInterval(() => response.write(': still here\n\n'), HEARTBEAT_MS);
    response.write(': open\n\n');
    response.once('close', () => {
      clearInterval(heartbeat);
      this.#open.delete(response);
      stop();
    });
  }
}
