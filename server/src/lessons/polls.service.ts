import { say } from '@bright-sprout/words/refusals';
import type { PollRequest, PollView, StudentPollView, VoteRequest } from '@bright-sprout/contract/lessons';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { ApiError, Clock, invalidField, isDuplicate, notFound, retried } from '../shared/index.ts';
import { type JoinedDevice, OwnWorkService } from '../student/index.ts';
import { Poll, Vote } from './lesson.entities.ts';

/** What was on its way when the vote was closed still counts. */
const ON_ITS_WAY_MS = 5_000;

/** An open poll that the teacher forgot does not follow the class for ever. */
const OPEN_FOR_MS = 3 * 3_600_000;

/** The newest vote of each student; a vote of one who has left the class stands for itself. */
const TALLY = `
  SELECT v.choice, COUNT(*) AS votes
  FROM vote v
  WHERE v.poll_id = ? AND NOT EXISTS (
    SELECT 1 FROM vote n
    WHERE n.poll_id = v.poll_id AND n.student_id = v.student_id
      AND (n.recorded_at > v.recorded_at OR (n.recorded_at = v.recorded_at AND n.id > v.id)))
  GROUP BY v.choice`;

/** Closes what the class is asked beside a poll, in any of its experiments: one thing is asked at a time. */
const CLOSE_OTHERS = `
  UPDATE poll p JOIN experiment e ON e.id = p.experiment_id
  JOIN experiment o ON o.id = ? AND (o.id = e.id OR o.class_id = e.class_id)
  SET p.closed_at = ?, p.changed_at = ?
  WHERE p.closed_at IS NULL AND p.id <> ?`;

const OPEN_POLL = `
  SELECT p.id, p.experiment_id AS experimentId, p.prompt, p.choices,
         (SELECT v.choice FROM vote v WHERE v.poll_id = p.id AND v.student_id = ?
          ORDER BY v.recorded_at DESC, v.id DESC LIMIT 1) AS ownChoice
  FROM experiment e JOIN poll p ON p.experiment_id = e.id AND p.closed_at IS NULL AND p.opened_at > ?
  WHERE e.class_id = ? AND e.discarded_at IS NULL
  ORDER BY p.opened_at DESC LIMIT 1`;

/** Questions asked of the whole class, and how many chose what. Nobody is named. */
@Injectable()
export class PollsService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly work: OwnWorkService,
    private readonly clock: Clock,
  ) {}

  /** @throws ApiError `not_found` */
  async poll(experimentId: string, id: string): Promise<PollView> {
    const row = await this.source.getRepository(Poll).findOneBy({ id, experimentId });
    if (!row) throw notFound();
    const counted = await this.source.query<{ choice: number; votes: string | number }[]>(TALLY, [id]);
    const votes = new Map(counted.map((one) => [one.choice, Number(one.votes)]));
    const { prompt, choices, hands, closedAt, openedAt } = row;
    return {
      id,
      prompt,
      choices,
      isOpen: closedAt === null,
      hands: choices.map((_, at) => hands[at] ?? 0),
      tablets: choices.map((_, at) => votes.get(at) ?? 0),
      openedAt: openedAt.toISOString(),
    };
  }

  /**
   * Asks the class, or changes what was asked. What the class is asked elsewhere is closed by it; what was voted on
   * keeps its choices.
   * @throws ApiError `id_in_use`, `invalid_fields`
   */
  async keep(experimentId: string, id: string, request: PollRequest): Promise<PollView> {
    const polls = this.source.getRepository(Poll);
    const known = await polls.findOneBy({ id });
    if (known && known.experimentId !== experimentId) {
      throw new ApiError('id_in_use', say('thisIdIsInUseReloadThe'));
    }
    const { prompt, choices, hands, isOpen } = request;
    if (known && JSON.stringify(known.choices) !== JSON.stringify(choices)) {
      throw invalidField('choices', say('whatWasVotedOnKeepsItsAnswers'));
    }
    const changedAt = this.clock.now();
    const closedAt = isOpen ? null : (known?.closedAt ?? changedAt);
    if (isOpen) {
      await retried(() => this.source.query(CLOSE_OTHERS, [experimentId, changedAt, changedAt, id]));
    }
    const row = { id, experimentId, prompt, choices, hands, closedAt, changedAt };
    await retried(() => polls.upsert({ ...row, openedAt: known?.openedAt ?? changedAt }, ['id']));
    return this.poll(experimentId, id);
  }

  /** What the class is asked now: none or one. */
  async ofStudent(device: JoinedDevice): Promise<StudentPollView[]> {
    const since = new Date(this.clock.now().getTime() - OPEN_FOR_MS);
    const rows = await this.source.query<(Omit<StudentPollView, 'choices'> & { choices: string })[]>(
      OPEN_POLL,
      [device.studentId, since, device.classId],
    );
    return rows.map((row) => ({ ...row, choices: JSON.parse(row.choices) as string[] }));
  }

  /**
   * Keeps a vote, once. One that was made before the vote was closed counts, also when the network came back later.
   * @throws ApiError `not_found`, `vote_closed`, `invalid_fields`, `id_in_use`, `no_student`
   */
  async vote(device: JoinedDevice, id: string, { pollId, choice, made }: VoteRequest): Promise<void> {
    const { student, madeAt } = await this.work.of(device, made);
    const poll = await this.source.getRepository(Poll).findOneBy({ id: pollId });
    if (!poll) throw notFound();
    await this.work.experiment(device, poll.experimentId);
    if (choice >= poll.choices.length) throw invalidField('choice', say('chooseOneOfTheAnswersOfThe'));
    if (poll.closedAt && madeAt.getTime() > poll.closedAt.getTime() + ON_ITS_WAY_MS) {
      throw new ApiError('vote_closed', say('theVoteIsOver'));
    }
    const row = { id, pollId, choice, studentId: student.id, recordedAt: this.clock.now() };
    try {
      await retried(() => this.source.getRepository(Vote).insert(row));
    } catch (thrown) {
      if (!isDuplicate(thrown)) throw thrown;
      const isSame = await this.source
        .getRepository(Vote)
        .existsBy({ id, pollId, choice, studentId: student.id });
      if (!isSame) throw new ApiError('id_in_use', say('thisIdIsInUseReloadThe'));
    }
  }
}
