import { Module } from '@nestjs/common';
import { CompareController } from './compare.controller.ts';
import { ComparisonFactsService } from './comparison-facts.ts';
import { ComparisonService } from './comparison.service.ts';

/** Comparisons. */
@Module({ controllers: [CompareController], providers: [ComparisonService, ComparisonFactsService] })
export class CompareModule {}
