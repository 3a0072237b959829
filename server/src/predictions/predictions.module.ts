import { Module } from '@nestjs/common';
import { StudentModule } from '../student/index.ts';
import { PredictionsController } from './predictions.controller.ts';
import { PredictionsService } from './predictions.service.ts';

/** Guesses before, and conclusions after. */
@Module({ imports: [StudentModule], controllers: [PredictionsController], providers: [PredictionsService] })
export class PredictionsModule {}
