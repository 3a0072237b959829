import { healthRoutes } from '@bright-sprout/contract/routes';
import type { HealthView } from '@bright-sprout/contract/shared';
import { Controller } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { Operation } from '../shared/index.ts';

/** Tells whether the server can do its work. */
@Controller()
export class HealthController {
  constructor(@InjectDataSource() private readonly source: DataSource) {}

  @Operation(healthRoutes.health)
  async health(): Promise<HealthView> {
    await this.source.query('SELECT 1');
    return { status: 'ok' };
  }
}
