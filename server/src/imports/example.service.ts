import { say } from '@bright-sprout/words/refusals';
import { demoExperiments } from '@bright-sprout/demo';
import { Injectable } from '@nestjs/common';
import type { KnownTeacher } from '../accounts/index.ts';
import { Clock } from '../shared/index.ts';
import { ImportsService } from './imports.service.ts';

/** The finished example that a new teacher can look into. */
@Injectable()
export class ExampleService {
  constructor(
    private readonly imports: ImportsService,
    private readonly clock: Clock,
  ) {}

  /**
   * Puts the finished example on a teacher's shelf; done again under the same id it changes nothing.
   * @throws ApiError `id_in_use`
   */
  async open(id: string, teacher: KnownTeacher): Promise<void> {
    const found = demoExperiments(this.clock.today(teacher.timeZone)).find(
      ({ status }) => status === 'finished',
    );
    if (!found) throw new Error('the made-up school has no finished experiment');
    const { hypothesis, status, plan, experiment } = found;
    const marked = say('exampleOf', { question: experiment.question });
    await this.imports.insertOnce(
      { id, teacherId: teacher.id, hypothesis, status, plan: { ...plan, question: marked } },
      { ...experiment, question: marked },
      teacher,
    );
  }
}
