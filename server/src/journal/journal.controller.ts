import {
  EntryRequest,
  type EntryView,
  HideEntryRequest,
  journalRoutes,
} from '@bright-sprout/contract/journal';
import { Body, Controller, Param, StreamableFile } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../accounts/index.ts';
import { Operation } from '../shared/index.ts';
import { mediaTypeOf } from './clean-picture.ts';
import { JournalService } from './journal.service.ts';

/** The journal of an experiment. */
@Controller()
export class JournalController {
  constructor(private readonly journal: JournalService) {}

  @Operation(journalRoutes.entries)
  all(@Param('experimentId') experimentId: string): Promise<EntryView[]> {
    return this.journal.all(experimentId);
  }

  @Operation(journalRoutes.keepEntry)
  keep(
    @Param('experimentId') experimentId: string,
    @Param('entryId') entryId: string,
    @Body() body: EntryRequest,
    @CurrentTeacher() { id, displayName, timeZone }: KnownTeacher,
  ): Promise<EntryView> {
    return this.journal.keep(experimentId, entryId, body, { displayName, timeZone }, id);
  }

  @Operation(journalRoutes.hideEntry)
  hide(
    @Param('experimentId') experimentId: string,
    @Param('entryId') entryId: string,
    @Body() { isHidden }: HideEntryRequest,
  ): Promise<EntryView> {
    return this.journal.hide(experimentId, entryId, isHidden);
  }

  @Operation(journalRoutes.removeEntry)
  remove(@Param('experimentId') experimentId: string, @Param('entryId') entryId: string): Promise<void> {
    return this.journal.remove(experimentId, entryId);
  }

  @Operation(journalRoutes.picture)
  async picture(
    @Param('experimentId') experimentId: string,
    @Param('entryId') entryId: string,
  ): Promise<StreamableFile> {
    const picture = await this.journal.picture({ id: entryId, experimentId });
    return new StreamableFile(picture, { type: mediaTypeOf(picture) });
  }
}
