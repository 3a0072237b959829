import type { DrawingPart } from '@bright-sprout/contract/journal';
import { COLOURS } from '../shared/ui/index.ts';
import { say } from '@bright-sprout/words/student';
import { useEffect, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { ReactSketchCanvas, type ReactSketchCanvasRef } from 'react-sketch-canvas';
import { type Label, labelledPicture } from '../shared/pictures/index.ts';
import { type Drawn, keptDrawing, shownPaths } from './drawn-lines.ts';
import { SheetLabels } from './sheet-labels.tsx';

const PENS = [
  { name: say('blackPen'), color: COLOURS.ink },
  { name: say('greenPen'), color: COLOURS.leafDark },
  { name: say('brownPen'), color: COLOURS.bark },
  { name: say('yellowPen'), color: COLOURS.penYellow },
] as const;

const THICKNESSES = { thin: 3, thick: 9 } as const;
const ERASER = 22;

/** A sheet to draw a plant on, and words to put beside its parts. */
export function DrawingBoard({
  chips,
  begun,
  onDrawn,
}: {
  chips: readonly string[];
  /** A drawing to go on with. */
  begun: DrawingPart | undefined;
  onDrawn: (drawn: Drawn) => void;
}) {
  const sheet = useRef<ReactSketchCanvasRef>(null);
  const [color, setColor] = useState<string>(PENS[0].color);
  const [isThick, setIsThick] = useState(false);
  const [erases, setErases] = useState(false);
  const [word, setWord] = useState<string>();
  const [labels, setLabels] = useState<readonly Label[]>(begun?.labels ?? []);
  const frame = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const size = frame.current?.getBoundingClientRect();
    sheet.current?.resetCanvas();
    if (begun && size) sheet.current?.loadPaths(shownPaths(begun, size));
  }, [begun]);
  const finish = async (): Promise<void> => {
    const drawn = await sheet.current?.exportImage('png');
    const base64 = drawn?.split(',')[1];
    const size = frame.current?.getBoundingClientRect();
    if (!base64 || !size) return;
    const paths = (await sheet.current?.exportPaths()) ?? [];
    onDrawn({
      picture: await labelledPicture(base64, labels),
      drawing: keptDrawing(paths, labels, size),
    });
  };
  const erase = (isOn: boolean): void => {
    setErases(isOn);
    sheet.current?.eraseMode(isOn);
  };
  const place = (event: React.MouseEvent<HTMLElement>): void => {
    if (word === undefined) return;
    const box = event.currentTarget.getBoundingClientRect();
    const isPoint = event.clientX > 0 || event.clientY > 0;
    const x = isPoint ? (event.clientX - box.left) / box.width : 0.5;
    const y = isPoint ? (event.clientY - box.top) / box.height : 0.1 + 0.12 * (labels.length % 7);
    setLabels([...labels, { word, x, y }]);
    setWord(undefined);
  };
  return (
    <div className="drawing-board">
      <div className="drawing-tools" role="group" aria-label={say('pens')}>
        {PENS.map((pen) => (
          <button
            key={pen.name}
            type="button"
            className="pen"
            aria-label={pen.name}
            aria-pressed={!erases && color === pen.color}
            style={{ background: pen.color }}
            onClick={() => {
              setColor(pen.color);
              erase(false);
            }}
          />
        ))}
        <Button variant="light" aria-pressed={isThick} onClick={() => setIsThick(!isThick)}>
          {say('thickPen')}
        </Button>
        <Button variant="light" aria-pressed={erases} onClick={() => erase(!erases)}>
          {say('eraser')}
        </Button>
        <Button variant="light" onClick={() => sheet.current?.undo()}>
          {say('undo')}
        </Button>
        <Button variant="light" onClick={() => sheet.current?.redo()}>
          {say('redo')}
        </Button>
        <Button variant="light" disabled={labels.length === 0} onClick={() => setLabels(labels.slice(0, -1))}>
          {say('takeTheLastWordAway')}
        </Button>
      </div>
      <div className="sheet" ref={frame}>
        <ReactSketchCanvas
          ref={sheet}
          width="100%"
          height="420px"
          strokeWidth={isThick ? THICKNESSES.thick : THICKNESSES.thin}
          eraserWidth={ERASER}
          strokeColor={color}
          canvasColor={COLOURS.white}
          exportWithBackgroundImage={false}
        />
        <SheetLabels labels={labels} onChange={setLabels} />
        {word !== undefined && (
          <button type="button" className="sheet-target" onClick={place}>
            <span>{say('tapWhereGoes', { word })}</span>
          </button>
        )}
      </div>
      <div className="word-chips" role="group" aria-label={say('wordsForTheParts')}>
        {chips.map((chip) => (
          <Button
            key={chip}
            variant="light"
            size="sm"
            aria-pressed={chip === word}
            onClick={() => setWord(chip)}
          >
            {chip}
          </Button>
        ))}
      </div>
      <Button size="lg" onClick={() => void finish()}>
        {say('theDrawingIsReady')}
      </Button>
    </div>
  );
}
