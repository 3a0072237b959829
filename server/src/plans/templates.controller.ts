import { planRoutes, TemplateRequest, type TemplateView } from '@bright-sprout/contract/plans';
import { Body, Controller, Param } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../accounts/index.ts';
import { Operation } from '../shared/index.ts';
import { TemplatesService } from './templates.service.ts';

/** Plans to start from. */
@Controller()
export class TemplatesController {
  constructor(private readonly templates: TemplatesService) {}

  @Operation(planRoutes.templates)
  all(@CurrentTeacher() teacher: KnownTeacher): Promise<TemplateView[]> {
    return this.templates.all(teacher);
  }

  @Operation(planRoutes.saveTemplate)
  save(
    @Param('experimentId') experimentId: string,
    @Param('newTemplateId') id: string,
    @Body() body: TemplateRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<TemplateView> {
    return this.templates.save(experimentId, id, body, teacher);
  }

  @Operation(planRoutes.removeTemplate)
  remove(@Param('templateId') id: string): Promise<void> {
    return this.templates.remove(id);
  }
}
