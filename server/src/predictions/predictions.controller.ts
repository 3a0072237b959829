import {
  predictionRoutes,
  ConclusionRequest,
  type ConclusionView,
  PredictionRequest,
  type PredictionView,
  StudentConclusionRequest,
  type StudentIdeasView,
  StudentPredictionRequest,
} from '@bright-sprout/contract/predictions';
import { Body, Controller, Param } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../accounts/index.ts';
import { Operation } from '../shared/index.ts';
import { CurrentDevice, type JoinedDevice } from '../student/index.ts';
import { PredictionsService } from './predictions.service.ts';

/** Guesses and conclusions. */
@Controller()
export class PredictionsController {
  constructor(private readonly service: PredictionsService) {}

  @Operation(predictionRoutes.predictions)
  predictions(@Param('experimentId') id: string): Promise<PredictionView[]> {
    return this.service.predictions(id);
  }

  @Operation(predictionRoutes.keepPrediction)
  predict(
    @Param('experimentId') id: string,
    @Param('predictionId') predictionId: string,
    @Body() { choice }: PredictionRequest,
    @CurrentTeacher() { displayName }: KnownTeacher,
  ): Promise<void> {
    return this.service.predict(id, predictionId, choice, { displayName, studentId: null });
  }

  @Operation(predictionRoutes.removePrediction)
  remove(@Param('experimentId') id: string, @Param('predictionId') predictionId: string): Promise<void> {
    return this.service.removePrediction(id, predictionId);
  }

  @Operation(predictionRoutes.conclusions)
  conclusions(@Param('experimentId') id: string): Promise<ConclusionView[]> {
    return this.service.conclusions(id);
  }

  @Operation(predictionRoutes.keepConclusion)
  conclude(
    @Param('experimentId') id: string,
    @Param('conclusionId') conclusionId: string,
    @Body() body: ConclusionRequest,
    @CurrentTeacher() { displayName }: KnownTeacher,
  ): Promise<ConclusionView> {
    return this.service.conclude(id, conclusionId, body, { displayName, studentId: null });
  }

  @Operation(predictionRoutes.studentIdeas)
  ofStudent(@CurrentDevice() device: JoinedDevice): Promise<StudentIdeasView[]> {
    return this.service.ofStudent(device);
  }

  @Operation(predictionRoutes.keepOwnPrediction)
  predictAsStudent(
    @CurrentDevice() device: JoinedDevice,
    @Param('predictionId') predictionId: string,
    @Body() body: StudentPredictionRequest,
  ): Promise<void> {
    return this.service.predictAsStudent(device, predictionId, body);
  }

  @Operation(predictionRoutes.keepOwnConclusion)
  concludeAsStudent(
    @CurrentDevice() device: JoinedDevice,
    @Param('conclusionId') conclusionId: string,
    @Body() body: StudentConclusionRequest,
  ): Promise<ConclusionView> {
    return this.service.concludeAsStudent(device, conclusionId, body);
  }
}
