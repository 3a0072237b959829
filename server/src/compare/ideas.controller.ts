import {
  compareRoutes,
  ConclusionRequest,
  type ConclusionView,
  PredictionRequest,
  type PredictionView,
  StudentConclusionRequest,
  type StudentIdeasView,
  StudentPredictionRequest,
} from '@bright-sprout/contract/compare';
import { Body, Controller, Param } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../people/index.ts';
import { Operation } from '../shared/index.ts';
import { CurrentDevice, type JoinedDevice } from '../student/index.ts';
import { IdeasService } from './ideas.service.ts';

/** Guesses and conclusions. */
@Controller()
export class IdeasController {
  constructor(private readonly ideas: IdeasService) {}

  @Operation(compareRoutes.predictions)
  predictions(@Param('experimentId') id: string): Promise<PredictionView[]> {
    return this.ideas.predictions(id);
  }

  @Operation(compareRoutes.keepPrediction)
  predict(
    @Param('experimentId') id: string,
    @Param('predictionId') predictionId: string,
    @Body() { choice }: PredictionRequest,
    @CurrentTeacher() { displayName }: KnownTeacher,
  ): Promise<void> {
    return this.ideas.predict(id, predictionId, choice, { displayName, studentId: null });
  }

  @Operation(compareRoutes.removePrediction)
  remove(@Param('experimentId') id: string, @Param('predictionId') predictionId: string): Promise<void> {
    return this.ideas.removePrediction(id, predictionId);
  }

  @Operation(compareRoutes.conclusions)
  conclusions(@Param('experimentId') id: string): Promise<ConclusionView[]> {
    return this.ideas.conclusions(id);
  }

  @Operation(compareRoutes.keepConclusion)
  conclude(
    @Param('experimentId') id: string,
    @Param('conclusionId') conclusionId: string,
    @Body() body: ConclusionRequest,
    @CurrentTeacher() { displayName }: KnownTeacher,
  ): Promise<ConclusionView> {
    return this.ideas.conclude(id, conclusionId, body, { displayName, studentId: null });
  }

  @Operation(compareRoutes.studentIdeas)
  ofStudent(@CurrentDevice() device: JoinedDevice): Promise<StudentIdeasView[]> {
    return this.ideas.ofStudent(device);
  }

  @Operation(compareRoutes.keepOwnPrediction)
  predictAsStudent(
    @CurrentDevice() device: JoinedDevice,
    @Param('predictionId') predictionId: string,
    @Body() body: StudentPredictionRequest,
  ): Promise<void> {
    return this.ideas.predictAsStudent(device, predictionId, body);
  }

  @Operation(compareRoutes.keepOwnConclusion)
  concludeAsStudent(
    @CurrentDevice() device: JoinedDevice,
    @Param('conclusionId') conclusionId: string,
    @Body() body: StudentConclusionRequest,
  ): Promise<ConclusionView> {
    return this.ideas.concludeAsStudent(device, conclusionId, body);
  }
}
