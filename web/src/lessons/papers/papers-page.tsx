import { say } from '@bright-sprout/words/lessons';
import type { ReadingLevel } from '@bright-sprout/core/words';
import { Download, Printer } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Link, useSearchParams } from 'react-router';
import { useExperiment } from '../../shared/experiment/index.ts';
import { FailureNote, useRemembered } from '../../shared/ui/index.ts';
import { LessonChoices } from '../lesson-choices.tsx';
import { type LessonNow, useLessonNow } from '../lesson-now.ts';
import { LessonPlaceProvider } from '../lesson-place.ts';
import { useLessonDocument } from '../use-lesson.ts';
import { CertificatesPaper } from './certificates-paper.tsx';
import { ClassReport } from './class-report.tsx';
import { FamilyNote } from './family-note.tsx';
import { downloadPage } from './one-file.ts';
import { type Paper, PAPER_NAMES, PAPERS } from './paper-kinds.ts';
import { StudentPages } from './student-pages.tsx';
import { WallChart } from './wall-chart.tsx';
import { WeeklyPages } from './weekly-pages.tsx';
import '../lessons.scss';
import { LevelSelect } from '../level-select.tsx';
import './papers.scss';

const SIZES = ['A4', 'letter'] as const;
const INKS = ['colour', 'black'] as const;

/** What a paper is made with. */
export interface PaperProps {
  readonly now: LessonNow;
  /** Whether names of children are on it: only where the teacher ticked it. */
  readonly hasNames: boolean;
}

/** Papers to take home, as they will be printed. */
export default function PapersPage() {
  useEffect(() => {
    window.scrollTo(0, 0);
  }, []);
  const found = useLessonDocument();
  const { experiment } = useExperiment();
  const [level, setLevel] = useState<ReadingLevel>();
  if (!found) return <div className="panel" aria-busy="true" />;
  const shown = level ?? found.document.level;
  return (
    <LessonPlaceProvider value="paper">
      <LessonChoices level={shown}>
        <Papers key={experiment.id} level={shown} setLevel={setLevel} />
      </LessonChoices>
    </LessonPlaceProvider>
  );
}

function Papers({ level, setLevel }: { level: ReadingLevel; setLevel: (level: ReadingLevel) => void }) {
  const { experiment } = useExperiment();
  const [search, setSearch] = useSearchParams();
  const [size, setSize] = useRemembered<(typeof SIZES)[number]>('paper', SIZES, 'A4');
  const [ink, setInk] = useRemembered<(typeof INKS)[number]>('ink', INKS, 'colour');
  const [hasNames, setHasNames] = useState(false);
  const [problem, setProblem] = useState<unknown>();
  const page = useRef<HTMLElement>(null);
  const now = useLessonNow(level);
  const paper = PAPERS.find((one) => one === search.get('paper')) ?? 'report';
  const show = (next: Paper): void => {
    const wanted = new URLSearchParams(search);
    wanted.set('paper', next);
    setSearch(wanted, { replace: true });
  };
  const keep = async (): Promise<void> => {
    if (!page.current) return;
    setProblem(undefined);
    await downloadPage(page.current, experiment.question).catch(setProblem);
  };
  const Shown = SHOWN[paper];
  return (
    <div className="papers-page">
      <style>{`@page { size: ${size}; margin: 14mm; }`}</style>
      <div className="print-tools" role="group" aria-label={say('toTakeHome')}>
        {PAPERS.map((one) => (
          <Button
            key={one}
            size="sm"
            variant={one === paper ? 'primary' : 'light'}
            aria-pressed={one === paper}
            onClick={() => show(one)}
          >
            {PAPER_NAMES[one]}
          </Button>
        ))}
        <Link
          className="btn btn-light btn-sm"
          to={{ pathname: `/experiments/${experiment.id}/teach`, search: search.toString() }}
        >
          {say('toTheLesson')}
        </Link>
      </div>
      <div className="print-tools">
        <LevelSelect level={level} onChange={(next) => setLevel(next)} />
        <Form.Select
          size="sm"
          aria-label={say('paperSize')}
          value={size}
          onChange={({ target }) => setSize(target.value === 'letter' ? 'letter' : 'A4')}
        >
          <option value="A4">A4</option>
          <option value="letter">{say('usLetter')}</option>
        </Form.Select>
        <Form.Check
          type="switch"
          id="ink"
          label={say('blackAndWhite')}
          checked={ink === 'black'}
          onChange={({ target }) => setInk(target.checked ? 'black' : 'colour')}
        />
        {(paper === 'report' || paper === 'students' || paper === 'certificates' || paper === 'weekly') && (
          <Form.Check
            type="switch"
            id="has-names"
            label={say('namesOfChildren')}
            checked={hasNames}
            onChange={({ target }) => setHasNames(target.checked)}
          />
        )}
        <Button size="sm" onClick={() => window.print()}>
          <Printer size={16} aria-hidden="true" /> {say('print')}
        </Button>
        {paper === 'report' && (
          <Button size="sm" variant="light" onClick={() => void keep()}>
            <Download size={16} aria-hidden="true" /> {say('asOneFile')}
          </Button>
        )}
      </div>
      {hasNames && <p className="note-attention papers-note">{say('namesAreOnThisPaper')}</p>}
      <FailureNote error={problem} />
      <article
        ref={page}
        className={`sheet sheet-${size} ${ink === 'black' ? 'is-black' : ''}`}
        aria-label={PAPER_NAMES[paper]}
      >
        <Shown now={now} hasNames={hasNames} />
      </article>
    </div>
  );
}

const SHOWN: Readonly<Record<Paper, React.ComponentType<PaperProps>>> = {
  report: ClassReport,
  students: StudentPages,
  certificates: CertificatesPaper,
  families: FamilyNote,
  weekly: WeeklyPages,
  wall: WallChart,
};
