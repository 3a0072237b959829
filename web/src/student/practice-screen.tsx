import { COLOURS } from '../shared/ui/index.ts';
import { say } from '@bright-sprout/words/student';
import type { PracticeRequest } from '@bright-sprout/contract/student';
import {
  randomGenerator,
  fromMillimetres,
  lengthText,
  type LengthScale,
  parseLength,
} from '@bright-sprout/core/shared';
import { practiceKinds, practiceTask, type PracticeTask } from '@bright-sprout/core/simulate';
import type { ReadingLevel } from '@bright-sprout/core/words';
import { useMutation } from '@tanstack/react-query';
import { ArrowLeft } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { v7 as uuid } from 'uuid';
import { lengthProblemText, rulerMarks } from '../readings/index.ts';
import { useKeep } from '../shared/outbox/index.ts';

const TALL = 480;
const SOIL = 440;
const RULER_X = 150;
const RULER_WIDTH = 84;
/** Where leaves sit along the stem, below the tip that is read. */
const LEAVES_AT = [0.35, 0.68, 0.9] as const;
const LARGEST_SEED = 4_294_967_295;

const HINTS: Record<PracticeTask['kind'], string> = {
  plain: say('zeroIsAtTheSoilReadAcross'),
  late_zero: say('theWoodBeginsBeforeTheZeroRead'),
  bent: say('theStemLeansFollowItWithA'),
  taller: say('thePlantIsTallerThanTheRuler'),
  inches: say('thisRulerIsInInchesWithQuarters'),
};

/** Drawn rulers to practise on before real plants; the class's error is known from them. */
export function PracticeScreen({
  scale,
  level,
  onBack,
}: {
  /** The ruler that the class reads its plants with; half centimetres where it reads no lengths. */
  scale: LengthScale;
  level: ReadingLevel;
  onBack: () => void;
}) {
  const [turn, setTurn] = useState(0);
  const [seed, setSeed] = useState(freshSeed);
  const [text, setText] = useState('');
  const [isTouched, setIsTouched] = useState(false);
  const [readMm, setReadMm] = useState<number>();
  const kinds = practiceKinds(level === '5-7', scale);
  const kind = kinds[turn % kinds.length] ?? 'plain';
  const task = practiceTask(kind, randomGenerator(seed), scale);
  const parsed = parseLength(text, task.scale);
  const keepOwn = useKeep();
  const keep = useMutation({
    mutationFn: (body: PracticeRequest) => {
      const practiceId = uuid();
      return keepOwn({
        id: practiceId,
        experimentId: '',
        route: 'keepPractice',
        params: { practiceId },
        body,
        label: say('aRulerReadForPractice'),
      });
    },
  });
  const next = (): void => {
    setTurn(turn + 1);
    setSeed(freshSeed());
    setText('');
    setIsTouched(false);
    setReadMm(undefined);
  };
  return (
    <main className="read-screen">
      <Button variant="light" aria-label={say('backToMyPots')} onClick={onBack}>
        <ArrowLeft size={20} aria-hidden="true" />
      </Button>
      <h1>{say('practiseReadingARuler')}</h1>
      <div className="length-question">
        <PracticePicture task={task} />
        <Form
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            setIsTouched(true);
            if (!parsed.ok || readMm !== undefined) return;
            setReadMm(parsed.mm);
            keep.mutate({ kind, seed, readMm: parsed.mm, ...scale });
          }}
        >
          <h2>
            <label htmlFor="practice">{say('howLongIsTheStem')}</label>
          </h2>
          <p>{HINTS[kind]}</p>
          <div className="height-entry">
            <Form.Control
              id="practice"
              value={text}
              inputMode="decimal"
              autoComplete="off"
              placeholder="–"
              readOnly={readMm !== undefined}
              onChange={({ target }) => setText(target.value)}
            />
            <span>{task.scale.unit}</span>
          </div>
          <div aria-live="polite">
            {isTouched && !parsed.ok && (
              <p className="field-problem">{lengthProblemText(parsed.problem, task.scale)}</p>
            )}
            {readMm !== undefined && <Feedback task={task} readMm={readMm} />}
          </div>
          <div className="big-answers">
            {readMm === undefined ? (
              <Button type="submit" size="lg">
                {say('thatIsIt')}
              </Button>
            ) : (
              <Button size="lg" onClick={next}>
                {say('anotherRuler')}
              </Button>
            )}
          </div>
        </Form>
      </div>
    </main>
  );
}

function Feedback({ task, readMm }: { task: PracticeTask; readMm: number }) {
  const off = Math.abs(readMm - task.trueMm);
  const right = lengthText(task.trueMm, task.scale);
  if (off < 0.5) return <p className="note-change">{say('right', { right })}</p>;
  const side = readMm > task.trueMm ? say('tooLong') : say('tooShort');
  return (
    <p className="note-attention">
      {say('itIsYouRead', { right, lengthText: lengthText(off, task.scale), side })}
    </p>
  );
}

/** The plant and its ruler, to one scale; a second ruler stands on the first when the plant is taller. */
function PracticePicture({ task }: { task: PracticeTask }) {
  const reachMm = Math.max(task.trueMm, task.rulerMm) * 1.06 + task.zeroAtMm;
  const perMm = (SOIL - 20) / reachMm;
  const points = task.stem.map(({ x, y }) => `${90 + x * perMm},${SOIL - y * perMm}`).join(' ');
  const tip = task.stem.at(-1) ?? { x: 0, y: 0 };
  const length = fromMillimetres(task.rulerMm, task.scale.unit);
  const perUnit = (perMm * task.rulerMm) / length;
  const rulers = task.kind === 'taller' ? [task.rulerMm, 0] : [0];
  return (
    <svg className="ruler practice-ruler" viewBox={`0 0 300 ${TALL}`} role="img" aria-label={describe(task)}>
      {rulers.map((fromMm) => {
        const zero = SOIL - fromMm * perMm;
        return (
          <g key={fromMm}>
            <rect
              x={RULER_X}
              y={zero - task.rulerMm * perMm}
              width={RULER_WIDTH}
              height={(task.rulerMm + task.zeroAtMm) * perMm}
              fill={fromMm === 0 ? COLOURS.wood : COLOURS.sunWash}
              stroke={COLOURS.woodEdge}
            />
            {rulerMarks(task.scale, length, perUnit).map(({ amount, reach, label }) => (
              <g key={amount} transform={`translate(${RULER_X} ${zero - amount * perUnit})`}>
                <line x2={reach} stroke={COLOURS.woodInk} strokeWidth={label ? 1.8 : 1} />
                {label && (
                  <text x={RULER_WIDTH - 10} y="5" textAnchor="end" className="ruler-number">
                    {label}
                  </text>
                )}
              </g>
            ))}
          </g>
        );
      })}
      <text x={RULER_X + RULER_WIDTH + 8} y={SOIL - 8} className="ruler-unit">
        {task.scale.unit}
      </text>
      <rect x="20" y={SOIL} width="130" height="40" fill={COLOURS.seedCoat} />
      <polyline points={points} fill="none" stroke={COLOURS.leaf} strokeWidth="6" strokeLinecap="round" />
      {LEAVES_AT.map((share) => {
        const at = task.stem[Math.round(share * (task.stem.length - 1))] ?? tip;
        return (
          <g key={share} transform={`translate(${90 + at.x * perMm} ${SOIL - at.y * perMm})`}>
            <path d="M0 0c-8 -14 -26 -15 -38 -6c12 9 28 10 38 6Z" fill={COLOURS.leafLight} />
            <path d="M0 0c8 -14 22 -15 30 -8c-8 9 -20 11 -30 8Z" fill={COLOURS.leaf} />
          </g>
        );
      })}
      <circle cx={90 + tip.x * perMm} cy={SOIL - tip.y * perMm} r="6" fill={COLOURS.leafDark} />
    </svg>
  );
}

/** The drawing for somebody who does not see it: where tip and zero are, not the answer. */
function describe({ scale, stem, zeroAtMm, trueMm, kind, rulerMm }: PracticeTask): string {
  const tip = stem.at(-1)?.y ?? 0;
  const at = kind === 'taller' ? trueMm - rulerMm : tip;
  const where = say('theTipIsAtTheMark', {
    fromMillimetres: (Math.round(fromMillimetres(at, scale.unit) * 4) / 4).toString(),
  });
  if (kind === 'taller') return say('aRulerOfAndOnItA', { lengthText: lengthText(rulerMm, scale), where });
  if (kind === 'bent')
    return say('aLeaningStemAndAlongTheStem', { where, lengthText: lengthText(trueMm, scale) });
  return say('aStemBesideARulerWhoseZero', { ifZeroAtMm: zeroAtMm > 0 ? 'yes' : 'no', where });
}

function freshSeed(): number {
  return Math.floor(Math.random() * LARGEST_SEED);
}
