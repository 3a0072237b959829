import { say } from '@bright-sprout/words/refusals';
import {
  type InvitationView,
  ShareRequest,
  type ShareView,
  sharingRoutes,
  type TakenView,
} from '@bright-sprout/contract/sharing';
import { Body, Controller, Inject, Param } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher, type TriesLimit, TriesService } from '../accounts/index.ts';
import { ApiError, Operation, type Settings, SETTINGS } from '../shared/index.ts';
import { SharesService } from './shares.service.ts';

/** Wrong codes for each sign-in try: codes are longer than those of classes, and teachers mistype less. */
const WRONG_CODES_PER_TRY = 2;

/** Co-teachers. */
@Controller()
export class SharingController {
  readonly #limit: TriesLimit;

  constructor(
    private readonly shares: SharesService,
    private readonly tries: TriesService,
    @Inject(SETTINGS) { signInTries, signInWindowMs: windowMs }: Settings,
  ) {
    this.#limit = { name: 'invitation', tries: signInTries * WRONG_CODES_PER_TRY, windowMs };
  }

  @Operation(sharingRoutes.sharesOfClass)
  ofClass(@Param('classId') classId: string): Promise<ShareView[]> {
    return this.shares.of({ classId });
  }

  @Operation(sharingRoutes.shareClass)
  shareClass(
    @Param('classId') classId: string,
    @Param('newShareId') id: string,
    @Body() { may }: ShareRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ShareView> {
    return this.shares.keep({ classId }, id, may, teacher);
  }

  @Operation(sharingRoutes.endShareOfClass)
  endOfClass(
    @Param('classId') classId: string,
    @Param('shareId') id: string,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<void> {
    return this.shares.end({ classId }, id, teacher);
  }

  @Operation(sharingRoutes.leaveClass)
  leaveClass(@Param('classId') classId: string, @CurrentTeacher() teacher: KnownTeacher): Promise<void> {
    return this.shares.leave({ classId }, teacher);
  }

  @Operation(sharingRoutes.sharesOfExperiment)
  ofExperiment(@Param('experimentId') experimentId: string): Promise<ShareView[]> {
    return this.shares.of({ experimentId });
  }

  @Operation(sharingRoutes.shareExperiment)
  shareExperiment(
    @Param('experimentId') experimentId: string,
    @Param('newShareId') id: string,
    @Body() { may }: ShareRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ShareView> {
    return this.shares.keep({ experimentId }, id, may, teacher);
  }

  @Operation(sharingRoutes.endShareOfExperiment)
  endOfExperiment(
    @Param('experimentId') experimentId: string,
    @Param('shareId') id: string,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<void> {
    return this.shares.end({ experimentId }, id, teacher);
  }

  @Operation(sharingRoutes.leaveExperiment)
  leaveExperiment(
    @Param('experimentId') experimentId: string,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<void> {
    return this.shares.leave({ experimentId }, teacher);
  }

  @Operation(sharingRoutes.invitation)
  invitation(
    @Param('codeKey') code: string,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<InvitationView> {
    return this.#limited(teacher, () => this.shares.invitation(code, teacher));
  }

  @Operation(sharingRoutes.takeInvitation)
  take(@Param('codeKey') code: string, @CurrentTeacher() teacher: KnownTeacher): Promise<TakenView> {
    return this.#limited(teacher, () => this.shares.take(code, teacher));
  }

  /** Counts a code as a wrong one before it is looked up, and takes that back when it was right. */
  async #limited<T>(teacher: KnownTeacher, attempt: () => Promise<T>): Promise<T> {
    const { isAllowed } = await this.tries.take(this.#limit, teacher.id);
    if (!isAllowed) throw new ApiError('too_many_tries', say('tooManyWrongInvitations'));
    const found = await attempt();
    await this.tries.giveBack(this.#limit, teacher.id);
    return found;
  }
}
