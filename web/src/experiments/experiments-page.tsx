import { say } from '@bright-sprout/words/experiments';
import type { ExperimentCard } from '@bright-sprout/contract/experiments';
import type { CropHabit } from '@bright-sprout/core/design';
import { importRoutes } from '@bright-sprout/contract/imports';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Link, useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { OpenFile } from '../imports/index.ts';
import { call, experimentQuery, experimentsQuery } from '../shared/api/index.ts';
import { PlantFromSide, PotFromSide, TreatmentMark } from '../shared/plants/index.ts';
import { COLOURS, dayOfYear, FailureNote } from '../shared/ui/index.ts';
import { DiscardButton } from './discard-button.tsx';
import { jobStage, jobText } from './job-text.ts';
import { StartForm } from './start-form.tsx';
import './experiments.scss';

/** The experiments: every experiment on its own board, what is due today first. */
export default function ExperimentsPage() {
  const { data: cards, error } = useQuery(experimentsQuery);
  const due = cards?.filter((card) => card.job.isDue).length ?? 0;
  return (
    <main className="experiments-page">
      <div className="experiments-top">
        <div>
          <h1>{greeting(due, cards?.length)}</h1>
          <StartForm />
        </div>
        <OpenFile />
      </div>
      <FailureNote error={error} />
      {cards?.length === 0 && <NoExperiments />}
      {cards && cards.length > 0 && <Shelf cards={cards} />}
    </main>
  );
}

function greeting(due: number, all: number | undefined): string {
  if (all === undefined) return say('theShelf');
  if (all === 0) return say('anEmptyShelfAndAQuestion');
  if (due === 0) return say('nothingIsDueToday');
  return due === 1 ? say('oneThingToDoToday') : say('thingsToDoToday', { due });
}

/** As many finished ones stand open on the shelf; more are put away. */
const FEW_FINISHED = 6;

/** From so many experiments on the shelf can be searched. */
const MANY = 6;

/** Every experiment: what goes on first, what is finished behind it; searched by words, crop, class and year. */
function Shelf({ cards }: { cards: readonly ExperimentCard[] }) {
  const [wanted, setWanted] = useState('');
  const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
  const found = cards.filter((card) => words.every((word) => textOf(card).includes(word)));
  const open = found.filter(({ status }) => status !== 'finished');
  const finished = found.filter(({ status }) => status === 'finished');
  return (
    <>
      {cards.length >= MANY && (
        <Form.Control
          type="search"
          className="shelf-search"
          value={wanted}
          placeholder={say('searchShelf')}
          aria-label={say('searchShelf')}
          onChange={({ target }) => setWanted(target.value)}
        />
      )}
      {found.length === 0 && <p role="status">{say('nothingFound', { wanted })}</p>}
      <Boards cards={open} />
      {finished.length > 0 && (
        <details className="shelf-finished" open={finished.length <= FEW_FINISHED || words.length > 0}>
          <summary>{say('finishedCount', { count: finished.length })}</summary>
          <Boards cards={finished} />
        </details>
      )}
    </>
  );
}

function textOf({ question, cropName, className, sowOn, treatments }: ExperimentCard): string {
  const names = treatments.map(({ name }) => name);
  return [question, cropName, className, sowOn, ...names].join(' ').toLowerCase();
}

function Boards({ cards }: { cards: readonly ExperimentCard[] }) {
  return (
    <ul className="boards">
      {cards.map((card) => (
        <Board key={card.id} card={card} />
      ))}
    </ul>
  );
}

function Board({ card }: { card: ExperimentCard }) {
  return (
    <li className={card.job.isDue ? 'board is-due' : 'board'}>
      <LineUp card={card} />
      <div className="board-words">
        <h2>
          <Link to={`/experiments/${card.id}/${jobStage(card)}`}>{card.question}</Link>
        </h2>
        <p className="quiet">
          {say('potsSownLesson', {
            cropName: card.cropName,
            units: card.units,
            status: card.status === 'draft' ? say('notYet') : dayOfYear(card.sowOn, card.today),
            lessonOn: dayOfYear(card.lessonOn, card.today),
          })}
          {card.className && ` · ${card.className}`}
          {card.shared && ` · ${say('sharedBy', { by: card.shared.by })}`}
        </p>
        <ul className="treatment-key">
          {card.treatments.map((treatment) => (
            <li key={treatment.style}>
              <TreatmentMark style={treatment.style} /> {treatment.name}
            </li>
          ))}
        </ul>
      </div>
      <div className="board-job">
        <p className={card.job.isDue ? 'job is-due' : 'job'}>{jobText(card)}</p>
        {!card.shared && <DiscardButton card={card} />}
      </div>
    </li>
  );
}

const LINE_UP_WIDTH = 300;
const TALLEST = 92;
const FULL_SCALE_MM = 90;

/** The mean plant of each treatment, to one scale, standing on the board. */
function LineUp({ card }: { card: ExperimentCard }) {
  const tallest = Math.max(FULL_SCALE_MM, ...card.treatments.map((treatment) => treatment.meanHeightMm ?? 0));
  const gap = LINE_UP_WIDTH / (card.treatments.length + 1);
  return (
    <svg className="line-up" viewBox={`0 0 ${LINE_UP_WIDTH} 142`} aria-hidden="true">
      {card.treatments.map((treatment, index) => (
        <g key={treatment.style} transform={`translate(${gap * (index + 1)} 106)`}>
          <PotFromSide width={48} depth={36} />
          <PlantFromSide
            height={((treatment.meanHeightMm ?? 0) / tallest) * TALLEST}
            habit={(card.habit ?? 'upright') as CropHabit}
          />
        </g>
      ))}
    </svg>
  );
}

/** What an empty shelf offers: a question of one's own, or a finished example to look into. */
function NoExperiments() {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const example = useMutation({
    mutationFn: (newExperimentId: string) => call(importRoutes.openExample, { params: { newExperimentId } }),
    onSuccess: (experiment) => {
      queries.setQueryData(experimentQuery(experiment.id).queryKey, experiment);
      void queries.invalidateQueries({ queryKey: experimentsQuery.queryKey });
      void navigate(`/experiments/${experiment.id}/compare`);
    },
  });
  return (
    <div className="empty-experiments">
      <svg viewBox="0 0 300 110" aria-hidden="true">
        <g transform="translate(150 60)">
          <PotFromSide width={60} depth={44} />
        </g>
        <rect x="0" y="102" width="300" height="8" rx="2" fill={COLOURS.edgeDark} />
      </svg>
      <p>{say('writeAQuestionThatPlantsCanAnswer')}</p>
      <p>
        <Button variant="light" disabled={example.isPending} onClick={() => example.mutate(uuid())}>
          {say('lookIntoAnExample')}
        </Button>
      </p>
      <FailureNote error={example.error} />
    </div>
  );
}
