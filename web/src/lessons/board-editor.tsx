import { say } from '@bright-sprout/words/lessons';
import type { BoardPart } from '@bright-sprout/contract/lessons';
import { MOST_BOARD_MINUTES, MOST_BOARD_PICTURES, MOST_WATCHED } from '@bright-sprout/core/lessons';
import { talkWords } from '@bright-sprout/core/words';
import { journalRoutes } from '@bright-sprout/contract/journal';
import { useQuery } from '@tanstack/react-query';
import Form from 'react-bootstrap/Form';
import { addressOf, journalQuery } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { shortDay } from '../shared/ui/index.ts';
import { entryAbout } from './entry-about.ts';
import type { LessonNow } from './lesson-now.ts';
import { chosenTalk } from './talk-choice.ts';

/** What a teacher sets on a board: how long, hidden or not, a note for themselves, and what the board alone has. */
export function BoardEditor({
  board,
  now,
  onChange,
}: {
  board: BoardPart;
  now: LessonNow;
  onChange: (changes: Partial<BoardPart>) => void;
}) {
  return (
    <section className="board-editor" aria-label={say('thisBoard')}>
      <div className="board-editor-row">
        <label>
          {say('minutes')}{' '}
          <Form.Control
            type="number"
            size="sm"
            min={1}
            max={MOST_BOARD_MINUTES}
            value={board.minutes}
            onChange={({ target }) => {
              const minutes = Math.round(Number(target.value));
              if (minutes >= 1 && minutes <= MOST_BOARD_MINUTES) onChange({ minutes });
            }}
          />
        </label>
        <Form.Check
          id={`hidden-${board.id}`}
          type="switch"
          label={say('leaveOut')}
          checked={board.isHidden}
          onChange={({ target }) => onChange({ isHidden: target.checked })}
        />
      </div>
      {board.kind === 'own_words' && <OwnWordsFields board={board} onChange={onChange} />}
      {board.kind === 'two_to_watch' && <WatchFields board={board} now={now} onChange={onChange} />}
      {board.kind === 'pictures' && <PictureFields board={board} onChange={onChange} />}
      {board.kind === 'talk' && <TalkFields board={board} now={now} onChange={onChange} />}
      <Form.Group controlId={`note-${board.id}`}>
        <Form.Label>{say('noteForMe')}</Form.Label>
        <Form.Control
          as="textarea"
          rows={2}
          maxLength={2000}
          value={board.note}
          onChange={({ target }) => onChange({ note: target.value })}
        />
      </Form.Group>
    </section>
  );
}

interface FieldsProps {
  readonly board: BoardPart;
  readonly onChange: (changes: Partial<BoardPart>) => void;
}

function OwnWordsFields({ board, onChange }: FieldsProps) {
  return (
    <>
      <Form.Group controlId={`title-${board.id}`}>
        <Form.Label>{say('heading')}</Form.Label>
        <Form.Control
          maxLength={120}
          value={board.title}
          onChange={({ target }) => onChange({ title: target.value })}
        />
      </Form.Group>
      <Form.Group controlId={`text-${board.id}`}>
        <Form.Label>{say('words')}</Form.Label>
        <Form.Control
          as="textarea"
          rows={4}
          maxLength={2000}
          value={board.text}
          onChange={({ target }) => onChange({ text: target.value })}
        />
      </Form.Group>
    </>
  );
}

function WatchFields({ board, now, onChange }: FieldsProps & { now: LessonNow }) {
  const set = (at: number, id: string): void => {
    const ids = Array.from({ length: MOST_WATCHED }, (_, index) =>
      index === at ? id : (board.unitIds[index] ?? ''),
    );
    onChange({ unitIds: [...new Set(ids.filter((one) => one !== ''))] });
  };
  return (
    <div className="board-editor-row">
      {Array.from({ length: MOST_WATCHED }, (_, at) => (
        <label key={at}>
          {at === 0 ? say('firstPot') : say('secondPot')}{' '}
          <Form.Select
            size="sm"
            value={board.unitIds[at] ?? ''}
            onChange={({ target }) => set(at, target.value)}
          >
            <option value="">{say('none')}</option>
            {now.plants.map(({ unit }) => (
              <option key={unit.id} value={unit.id}>
                {say('potNumber', { number: unit.number })}
              </option>
            ))}
          </Form.Select>
        </label>
      ))}
    </div>
  );
}

function PictureFields({ board, onChange }: FieldsProps) {
  const { experiment } = useExperiment();
  const entries = (useQuery(journalQuery(experiment.id)).data ?? []).filter(({ isHidden }) => !isHidden);
  const toggle = (id: string): void => {
    const has = board.entryIds.includes(id);
    if (!has && board.entryIds.length >= MOST_BOARD_PICTURES) return;
    onChange({ entryIds: has ? board.entryIds.filter((one) => one !== id) : [...board.entryIds, id] });
  };
  if (entries.length === 0) return <p className="quiet">{say('noPicturesYet')}</p>;
  return (
    <fieldset className="picture-fields">
      <legend>{say('picturesToShow', { chosen: board.entryIds.length, most: MOST_BOARD_PICTURES })}</legend>
      <ul>
        {entries.toReversed().map((entry) => {
          const about = entryAbout(entry, experiment);
          return (
            <li key={entry.id}>
              <label>
                <input
                  type="checkbox"
                  checked={board.entryIds.includes(entry.id)}
                  onChange={() => toggle(entry.id)}
                />
                {entry.hasPicture && (
                  <img
                    src={addressOf(journalRoutes.picture, { experimentId: experiment.id, entryId: entry.id })}
                    alt=""
                    loading="lazy"
                  />
                )}
                <span>
                  {entry.note || about}
                  {entry.note !== '' && <small>{about}</small>}
                </span>
              </label>
            </li>
          );
        })}
      </ul>
    </fieldset>
  );
}

function TalkFields({ board, now, onChange }: FieldsProps & { now: LessonNow }) {
  const shown = new Set(chosenTalk(board, now.talk).map(({ code }) => code));
  const toggle = (code: string): void => {
    const codes = new Set<string>(shown);
    if (!codes.delete(code)) codes.add(code);
    onChange({ talkCodes: [...codes] });
  };
  if (now.talk.length === 0) return <p className="quiet">{say('nothingToTalkAboutYet')}</p>;
  return (
    <fieldset className="talk-fields">
      <legend>{say('whatYourDataAsk', { points: now.talk.length })}</legend>
      <ul>
        {now.talk.map((point) => (
          <li key={point.code}>
            <Form.Check
              id={`talk-${board.id}-${point.code}`}
              type="checkbox"
              label={talkWords(point, { ...now, dayText: shortDay }).question}
              checked={shown.has(point.code)}
              onChange={() => toggle(point.code)}
            />
          </li>
        ))}
      </ul>
    </fieldset>
  );
}
