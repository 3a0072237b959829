import { say } from '@bright-sprout/words/refusals';
import type {
  ConclusionRequest,
  ConclusionView,
  PredictionView,
  StudentConclusionRequest,
  StudentIdeasView,
  StudentPredictionRequest,
} from '@bright-sprout/contract/predictions';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, In, IsNull } from 'typeorm';
import { Experiment } from '../plans/index.ts';
import { ApiError, Clock, HeavyWork, invalidField, isDuplicate } from '../shared/index.ts';
import { type JoinedDevice, type KnownStudent, OwnWorkService } from '../student/index.ts';
import { comparisonTasks } from '../comparison/index.ts';
import { Conclusion, Prediction } from './prediction.entities.ts';

/** Who thinks so: a teacher, or a student by display name. */
interface Author {
  readonly displayName: string;
  readonly studentId: string | null;
}

const FIRST_UP = `
  SELECT MIN(r.recorded_at) AS at FROM reading r JOIN unit u ON u.id = r.unit_id
  WHERE u.experiment_id = ? AND r.state = 'emerged'`;

/** Guesses before and conclusions after. Rows are added; a student's newest counts. */
@Injectable()
export class PredictionsService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly heavy: HeavyWork,
    private readonly work: OwnWorkService,
    private readonly clock: Clock,
  ) {}

  /** The guesses that count, the oldest first. */
  async predictions(experimentId: string): Promise<PredictionView[]> {
    const [rows, [first]] = await Promise.all([
      this.source
        .getRepository(Prediction)
        .find({ where: { experimentId }, order: { recordedAt: 'ASC', id: 'ASC' } }),
      this.source.query<{ at: Date | null }[]>(FIRST_UP, [experimentId]),
    ]);
    return newestOfEach(rows).map(({ id, choice, observer, recordedAt }) => ({
      id,
      choice,
      observer,
      madeAt: recordedAt.toISOString(),
      isEarly: !first?.at || recordedAt < new Date(first.at),
    }));
  }

  /**
   * Keeps a guess, once.
   * @throws ApiError `invalid_fields`, `experiment_finished`, `id_in_use`
   */
  async predict(experimentId: string, id: string, choice: string, author: Author): Promise<void> {
    const experiment = await this.source.getRepository(Experiment).findOneByOrFail({ id: experimentId });
    const { choices } = promptOf(experiment);
    if (!choices.includes(choice)) throw invalidField('choice', say('chooseOneOfTheAnswersOfThe'));
    if (experiment.status === 'finished') {
      throw new ApiError('experiment_finished', say('thisExperimentIsOverWhatHappenedIs'));
    }
    await this.#once(Prediction, id, experimentId, {
      id,
      experimentId,
      choice,
      observer: author.displayName,
      studentId: author.studentId,
      recordedAt: this.clock.now(),
    });
  }

  /** Takes back a guess. */
  async removePrediction(experimentId: string, id: string): Promise<void> {
    await this.source.getRepository(Prediction).delete({ id, experimentId });
  }

  /** Conclusions, the newest of each person, the newest first. */
  async conclusions(experimentId: string): Promise<ConclusionView[]> {
    const rows = await this.source
      .getRepository(Conclusion)
      .find({ where: { experimentId }, order: { recordedAt: 'ASC', id: 'ASC' } });
    return newestOfEach(rows).reverse().map(conclusionView);
  }

  /**
   * Keeps a conclusion, once.
   * @throws ApiError `id_in_use`
   */
  async conclude(
    experimentId: string,
    id: string,
    { claim, evidence, reasoning }: ConclusionRequest,
    author: Author,
  ): Promise<ConclusionView> {
    const row = {
      id,
      experimentId,
      claim,
      evidence,
      reasoning,
      observer: author.displayName,
      studentId: author.studentId,
      recordedAt: this.clock.now(),
    };
    await this.#once(Conclusion, id, experimentId, row);
    return conclusionView(row);
  }

  /** What a student may guess and conclude about. */
  async ofStudent(device: JoinedDevice): Promise<StudentIdeasView[]> {
    const student = await this.work.student(device, undefined);
    const experiments = await this.source.getRepository(Experiment).find({
      where: {
        classId: device.classId,
        discardedAt: IsNull(),
        status: In(['planted', 'growing', 'finished']),
      },
      order: { lessonOn: 'DESC' },
      take: 6,
    });
    return Promise.all(experiments.map((experiment) => this.#idea(experiment, student, device)));
  }

  /** @throws ApiError `not_found`, `no_student`, `guessing_closed` and those of {@link predict} */
  async predictAsStudent(device: JoinedDevice, id: string, request: StudentPredictionRequest): Promise<void> {
    const author = await this.#author(device, request);
    const experiment = await this.source
      .getRepository(Experiment)
      .findOneByOrFail({ id: request.experimentId });
    // By the day on which it was made: one that waited for a network counts.
    if (isClosed(experiment, this.work.timeOf(device, request.made).day))
      throw new ApiError('guessing_closed', say('guessingIsClosed'));
    await this.predict(request.experimentId, id, request.choice, author);
  }

  /** @throws ApiError `not_found`, `no_student`, `id_in_use` */
  async concludeAsStudent(
    device: JoinedDevice,
    id: string,
    request: StudentConclusionRequest,
  ): Promise<ConclusionView> {
    const author = await this.#author(device, request);
    return this.conclude(request.experimentId, id, request, author);
  }

  async #author(
    device: JoinedDevice,
    { experimentId, made }: StudentPredictionRequest | StudentConclusionRequest,
  ): Promise<Author> {
    const { student } = await this.work.of(device, made);
    await this.work.experiment(device, experimentId);
    return { displayName: student.displayName, studentId: student.id };
  }

  async #idea(
    experiment: Experiment,
    student: KnownStudent,
    device: JoinedDevice,
  ): Promise<StudentIdeasView> {
    const own = { experimentId: experiment.id, studentId: student.id };
    const [guess, conclusion, comparison] = await Promise.all([
      this.source.getRepository(Prediction).findOne({ where: own, order: { recordedAt: 'DESC' } }),
      this.source.getRepository(Conclusion).findOne({ where: own, order: { recordedAt: 'DESC' } }),
      this.heavy.value(comparisonTasks.comparison, {
        experimentId: experiment.id,
        query: { parts: 'answer', level: device.readingLevel },
      }),
    ]);
    const measured = comparison.groups.reduce((sum, group) => sum + group.points.length, 0);
    return {
      experimentId: experiment.id,
      question: experiment.question,
      ...promptOf(experiment),
      ownChoice: guess?.choice ?? null,
      canGuess: experiment.status !== 'finished' && !isClosed(experiment, this.clock.today(device.timeZone)),
      evidence: comparison.words.evidence,
      measured,
      own: conclusion ? conclusionView(conclusion) : null,
    };
  }

  async #once(
    entity: new () => Prediction | Conclusion,
    id: string,
    experimentId: string,
    row: object,
  ): Promise<void> {
    try {
      await this.source.getRepository(entity).insert(row);
    } catch (thrown) {
      if (!isDuplicate(thrown)) throw thrown;
      const isSame = await this.source.getRepository(entity).existsBy({ id, experimentId });
      if (!isSame) throw new ApiError('id_in_use', say('thisIdIsInUseReloadThe'));
    }
  }
}

function promptOf({ planDocument }: Experiment): { prompt: string; choices: string[] } {
  const { prompt = '', choices = [] } = planDocument?.prediction ?? {};
  return { prompt, choices: [...choices] };
}

/** True of a day after the last one on which a guess is taken. */
function isClosed({ planDocument }: Experiment, day: string): boolean {
  const closesOn = planDocument?.prediction.closesOn;
  return closesOn != null && day > closesOn;
}

/** The newest row of each student; rows without one are of the teacher's hand and all count. */
function newestOfEach<T extends { studentId: string | null }>(rows: readonly T[]): T[] {
  const last = new Map(rows.map((row) => [row.studentId, row]));
  return rows.filter((row) => row.studentId === null || last.get(row.studentId) === row);
}

function conclusionView(row: Omit<Conclusion, 'experiment' | 'student'>): ConclusionView {
  const { id, claim, evidence, reasoning, observer } = row;
  const isStudent = row.studentId !== null;
  return { id, claim, evidence, reasoning, observer, isStudent, writtenAt: row.recordedAt.toISOString() };
}
