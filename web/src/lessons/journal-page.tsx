import { say } from '@bright-sprout/words/lessons';
import { type EntryView, journalRoutes } from '@bright-sprout/contract/journal';
import type { LessonDocument, LessonView } from '@bright-sprout/contract/lessons';
import { MOST_BOARD_PICTURES, plainBoard } from '@bright-sprout/core/lessons';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Link, useSearchParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useAct } from '../readings/index.ts';
import { call, journalQuery } from '../shared/api/index.ts';
import { useExperiment, useMayChange } from '../shared/experiment/index.ts';
import { FailureNote, longDay } from '../shared/ui/index.ts';
import { EntryFigure } from './entry-figure.tsx';
import { sendable, useLessonDocument, useOpenLesson } from './use-lesson.ts';
import './lessons.scss';

/** The class's journal: every drawing, photo and sentence by day, and which of them are on the board and in the report. */
export default function JournalPage() {
  useEffect(() => {
    window.scrollTo(0, 0);
  }, []);
  const { experiment } = useExperiment();
  const found = useLessonDocument();
  if (!found) return <div className="panel" aria-busy="true" />;
  return <Journal key={experiment.id} view={found.view} begun={found.document} />;
}

function Journal({ view, begun }: { view: LessonView; begun: LessonDocument }) {
  const { experiment } = useExperiment();
  const [search] = useSearchParams();
  const entries = useQuery(journalQuery(experiment.id)).data ?? [];
  const { document, change, error } = useOpenLesson(experiment.id, view, begun);
  const [by, setBy] = useState('');
  const [potId, setPotId] = useState('');
  const observers = [...new Set(entries.map(({ observer }) => observer))].sort();
  const shown = entries.filter(
    (entry) => (by === '' || entry.observer === by) && (potId === '' || entry.unitId === potId),
  );
  const days = [...new Set(shown.map(({ happenedOn }) => happenedOn))].sort().reverse();
  const board = document.boards.find(({ kind }) => kind === 'pictures');
  const chosen = board?.entryIds ?? [];
  const choose = (id: string): void => change(withChosen(document, id));
  return (
    <div className="journal-page">
      <div className="print-tools">
        <h2>{say('journal')}</h2>
        <Form.Select
          size="sm"
          aria-label={say('byWhom')}
          value={by}
          onChange={({ target }) => setBy(target.value)}
        >
          <option value="">{say('everybody')}</option>
          {observers.map((observer) => (
            <option key={observer} value={observer}>
              {observer}
            </option>
          ))}
        </Form.Select>
        <Form.Select
          size="sm"
          aria-label={say('ofWhichPot')}
          value={potId}
          onChange={({ target }) => setPotId(target.value)}
        >
          <option value="">{say('allPots')}</option>
          {experiment.units.map(({ id, number }) => (
            <option key={id} value={id}>
              {say('potNumber', { number })}
            </option>
          ))}
        </Form.Select>
        <Link to={{ pathname: `/experiments/${experiment.id}/teach`, search: search.toString() }}>
          {say('toTheLesson')}
        </Link>
        <span className="quiet" role="status">
          {say('picturesToShow', { chosen: chosen.length, most: MOST_BOARD_PICTURES })}
        </span>
      </div>
      <FailureNote error={error} />
      {shown.length === 0 && <p>{say('noPicturesYet')}</p>}
      {days.map((day) => (
        <section key={day} aria-label={longDay(day)}>
          <h3>{longDay(day)}</h3>
          <ul className="journal-entries">
            {shown
              .filter((entry) => entry.happenedOn === day)
              .map((entry) => (
                <li key={entry.id}>
                  <Entry
                    entry={entry}
                    isChosen={chosen.includes(entry.id)}
                    isFull={chosen.length >= MOST_BOARD_PICTURES}
                    onChoose={() => choose(entry.id)}
                  />
                </li>
              ))}
          </ul>
        </section>
      ))}
    </div>
  );
}

/** The lesson with an entry on its board of pictures, or taken off it; the board is made or brought back for it. */
function withChosen(document: LessonDocument, id: string): LessonDocument {
  const board = document.boards.find(({ kind }) => kind === 'pictures');
  if (!board) {
    const made = { ...sendable(plainBoard(uuid(), 'pictures', 1)), entryIds: [id] };
    return { ...document, boards: [...document.boards, made] };
  }
  const isOn = board.entryIds.includes(id);
  const entryIds = isOn ? board.entryIds.filter((one) => one !== id) : [...board.entryIds, id];
  return {
    ...document,
    boards: document.boards.map((one) =>
      one === board ? { ...one, entryIds, isHidden: isOn && one.isHidden } : one,
    ),
  };
}

function Entry({
  entry,
  isChosen,
  isFull,
  onChoose,
}: {
  entry: EntryView;
  isChosen: boolean;
  isFull: boolean;
  onChoose: () => void;
}) {
  const mayChange = useMayChange();
  const { experiment } = useExperiment();
  const params = { experimentId: experiment.id, entryId: entry.id };
  const remove = useAct(() => call(journalRoutes.removeEntry, { params }));
  const hide = useAct(() => call(journalRoutes.hideEntry, { params, body: { isHidden: !entry.isHidden } }));
  return (
    <>
      <EntryFigure entry={entry} hasNames />
      {entry.isHidden && <b> {say('isHidden')}</b>}
      {mayChange && (
        <div className="journal-acts">
          <Form.Check
            type="switch"
            id={`chosen-${entry.id}`}
            label={say('onTheBoard')}
            checked={isChosen}
            disabled={(!isChosen && isFull) || entry.isHidden}
            onChange={onChoose}
          />
          <Button size="sm" variant="light" onClick={() => hide.mutate()}>
            {entry.isHidden ? say('showEntry') : say('hideEntry')}
          </Button>
          <Button
            size="sm"
            variant="light"
            onClick={() => window.confirm(say('removeForGood')) && remove.mutate()}
          >
            {say('remove')}
          </Button>
        </div>
      )}
      <FailureNote error={remove.error ?? hide.error} />
    </>
  );
}
