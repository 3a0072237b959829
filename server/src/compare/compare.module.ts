import { Module } from '@nestjs/common';
import { CompareController } from './compare.controller.ts';
import { ComparisonService } from './comparison.service.ts';

/** Comparisons. */
@Module({ controllers: [CompareController], providers: [ComparisonService] })
export class CompareModule {}
