import { say } from '@bright-sprout/words/print';
import { useQuery } from '@tanstack/react-query';
import { Printer } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useSearchParams } from 'react-router';
import { classesQuery } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { useRemembered } from '../shared/ui/index.ts';
import { ColdCard } from './cold-card.tsx';
import { FlipCards } from './flip-cards.tsx';
import { HelperCard } from './helper-card.tsx';
import { KitCards, LABEL_SHEETS, Labels, type LabelSheet, RowMarkers } from './labels.tsx';
import { RecordingSheet } from './recording-sheet.tsx';
import { StepsSheet } from './steps-sheet.tsx';
import './print.scss';

const SHEETS = [
  { sheet: 'labels', name: say('labels') },
  { sheet: 'kits', name: say('kitCards') },
  { sheet: 'rows', name: say('rowMarkers') },
  { sheet: 'recording', name: say('recordingSheet') },
  { sheet: 'steps', name: say('stepsForTheWall') },
  { sheet: 'helper', name: say('helpersCard') },
  { sheet: 'cold', name: say('cardForTheCold') },
  { sheet: 'flip', name: say('flipBook') },
] as const;
/** Sheets that lead to a class when they are scanned. */
const NEEDS_CLASS: readonly string[] = ['labels', 'kits', 'rows'];
const PAPERS = ['A4', 'letter'] as const;
const STICKERS = Object.keys(LABEL_SHEETS) as LabelSheet[];

/** Things to print: black on white, on A4 or US Letter. */
export default function PrintPage() {
  const { experiment } = useExperiment();
  const [search, setSearch] = useSearchParams();
  const [stickers, setStickers] = useRemembered<LabelSheet>('labels', STICKERS, 'cut');
  const [chosen, setPaper] = useRemembered<(typeof PAPERS)[number]>('paper', PAPERS, 'A4');
  const sheet = SHEETS.find((one) => one.sheet === search.get('sheet'))?.sheet ?? 'labels';
  const hasCold = (experiment.plan?.conditions.coldDays ?? 0) > 0;
  const onStickers = sheet === 'labels' && stickers !== 'cut';
  const paper = (onStickers && LABEL_SHEETS[stickers].paper) || chosen;
  const schoolClass = useQuery(classesQuery).data?.find(({ id }) => id === experiment.classId);
  const show = (next: string): void => {
    const wanted = new URLSearchParams(search);
    wanted.set('sheet', next);
    setSearch(wanted, { replace: true });
  };
  return (
    <div className="print-page">
      <style>{`@page { size: ${paper}; margin: ${onStickers ? 0 : '12mm'}; }`}</style>
      <div className="print-tools" role="group" aria-label={say('whatToPrint')}>
        {SHEETS.filter((one) => one.sheet !== 'cold' || hasCold || sheet === 'cold').map((one) => (
          <Button
            key={one.sheet}
            size="sm"
            variant={one.sheet === sheet ? 'primary' : 'light'}
            aria-pressed={one.sheet === sheet}
            onClick={() => show(one.sheet)}
          >
            {one.name}
          </Button>
        ))}
        {sheet === 'labels' && (
          <Form.Select
            size="sm"
            aria-label={say('labelSheet')}
            value={stickers}
            onChange={({ target }) => setStickers(STICKERS.find((one) => one === target.value) ?? 'cut')}
          >
            {STICKERS.map((one) => (
              <option key={one} value={one}>
                {say('labelSheetOf', { sheet: one })}
              </option>
            ))}
          </Form.Select>
        )}
        <Form.Select
          size="sm"
          aria-label={say('paper')}
          disabled={onStickers}
          value={paper}
          onChange={({ target }) => setPaper(target.value === 'letter' ? 'letter' : 'A4')}
        >
          <option value="A4">A4</option>
          <option value="letter">{say('usLetter')}</option>
        </Form.Select>
        <Button size="sm" onClick={() => window.print()}>
          <Printer size={16} aria-hidden="true" /> {say('print')}
        </Button>
        {!schoolClass && NEEDS_CLASS.includes(sheet) && (
          <p className="quiet">{say('giveTheExperimentToAClassIn')}</p>
        )}
      </div>
      <article
        className={`paper paper-${paper} ${onStickers ? 'on-stickers' : ''}`}
        tabIndex={0}
        aria-label={SHEETS.find((one) => one.sheet === sheet)?.name}
      >
        {sheet === 'labels' && <Labels code={schoolClass?.code} sheet={stickers} />}
        {sheet === 'kits' && <KitCards code={schoolClass?.code} />}
        {sheet === 'rows' && <RowMarkers />}
        {sheet === 'recording' && <RecordingSheet />}
        {sheet === 'steps' && <StepsSheet />}
        {sheet === 'helper' && <HelperCard />}
        {sheet === 'cold' && <ColdCard />}
        {sheet === 'flip' && <FlipCards />}
      </article>
    </div>
  );
}
