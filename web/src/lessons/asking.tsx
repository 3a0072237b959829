import { say } from '@bright-sprout/words/lessons';
import type { Board } from '@bright-sprout/core/lessons';
import { talkWords } from '@bright-sprout/core/words';
import { shortDay } from '../shared/ui/index.ts';
import type { LessonNow } from './lesson-now.ts';
import { chosenTalk } from './talk-choice.ts';

/** Talking points that go with a board, where it is not the board of talking points itself. */
const BESIDE: Partial<Record<Board['kind'], readonly string[]>> = {
  line_up: [
    'overlap',
    'late_caught_up',
    'far_from_rest',
    'died',
    'pots_not_read',
    'ages_differ',
    'one_pot',
    'none_up',
  ],
  firsts: ['tie_tallest', 'early_fell_behind', 'never_up', 'up_spread', 'mark_passed', 'mark_not_passed'],
  guess: ['guess_other', 'guess_came_true', 'guess_split'],
  answer: ['overlap', 'apart', 'control_most', 'middle_most', 'survivors_only', 'spread_differs'],
  luck: ['few_pots', 'same_height_apart'],
  two_to_watch: ['shrank', 'slowed', 'sped_up', 'stood_still', 'readers_differ'],
  not_known: ['few_pots', 'days_missed', 'nearer_the_light', 'survivors_only'],
};

/** What to ask at a board, and what a good answer notices: for the teacher. */
export function Asking({ board, now }: { board: Board; now: LessonNow }) {
  const codes = BESIDE[board.kind] ?? [];
  const points =
    board.kind === 'talk'
      ? chosenTalk(board, now.talk)
      : now.talk.filter(({ code }) => codes.includes(code)).slice(0, 2);
  if (points.length === 0) return null;
  return (
    <section className="asking" aria-label={say('ask')}>
      <h3>{say('ask')}</h3>
      {points.map((point) => {
        const { question, hint } = talkWords(point, { ...now, dayText: shortDay });
        return (
          <div key={point.code}>
            <p>{question}</p>
            <p className="quiet">{hint}</p>
          </div>
        );
      })}
    </section>
  );
}
