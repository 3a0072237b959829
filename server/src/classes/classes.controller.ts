import {
  ClassRequest,
  classRoutes,
  type ClassView,
  RosterRequest,
  type SavedClass,
} from '@bright-sprout/contract/classes';
import { Body, Controller, Header, Param, StreamableFile } from '@nestjs/common';
import { Readable } from 'node:stream';
import { AuditService, CurrentTeacher, type KnownTeacher } from '../accounts/index.ts';
import { Operation } from '../shared/index.ts';
import { ClassesService } from './classes.service.ts';

/** Classes, teams and students. */
@Controller()
export class ClassesController {
  constructor(
    private readonly classes: ClassesService,
    private readonly audit: AuditService,
  ) {}

  @Operation(classRoutes.classes)
  all(@CurrentTeacher() teacher: KnownTeacher): Promise<ClassView[]> {
    return this.classes.all(teacher);
  }

  @Operation(classRoutes.saveClass)
  save(
    @Param('newClassId') id: string,
    @Body() body: ClassRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<SavedClass> {
    return this.classes.save(id, body, teacher);
  }

  @Operation(classRoutes.saveRoster)
  saveRoster(
    @Param('classId') id: string,
    @Body() body: RosterRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ClassView> {
    return this.classes.saveRoster(id, body, teacher);
  }

  @Operation(classRoutes.newCode)
  newCode(@Param('classId') id: string, @CurrentTeacher() teacher: KnownTeacher): Promise<ClassView> {
    return this.classes.newCode(id, teacher);
  }

  @Operation(classRoutes.keptOfClass)
  @Header('Content-Disposition', 'attachment; filename="class.json"')
  async kept(@Param('classId') id: string, @CurrentTeacher() teacher: KnownTeacher): Promise<StreamableFile> {
    const kept = await this.classes.kept(id, teacher);
    await this.audit.note('exported', teacher.id, id);
    return new StreamableFile(Readable.from(kept, { objectMode: false }), { type: 'application/json' });
  }

  @Operation(classRoutes.removeClass)
  remove(@Param('classId') id: string): Promise<void> {
    return this.classes.remove(id);
  }
}
