import { say } from '@bright-sprout/words/student';
import type { DrawingPart } from '@bright-sprout/contract/journal';
import type { StudentPotView } from '@bright-sprout/contract/student';
import { wordChips } from '@bright-sprout/core/words';
import { ArrowLeft, Camera, Pencil, Type } from 'lucide-react';
import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { FailureNote } from '../shared/ui/index.ts';
import { DrawingBoard } from './drawing-board.tsx';
import { pictureAddress, smallPicture } from '../shared/pictures/index.ts';
import { PotJournal } from './pot-journal.tsx';
import { type AtDevice, useKeepEntry } from './use-keep-own.ts';

type Way = 'photo' | 'drawing' | 'note';

const MOST_WORDS = 1000;

/** Shows what a pot looks like: a photo, a drawing with labels, or a sentence. */
export function EntryScreen({
  pot,
  at,
  onDone,
  onBack,
}: {
  pot: StudentPotView;
  at: AtDevice;
  onDone: () => void;
  onBack: () => void;
}) {
  const [way, setWay] = useState<Way>();
  const [picture, setPicture] = useState<string>();
  const [drawing, setDrawing] = useState<DrawingPart | null>(null);
  const [begun, setBegun] = useState<DrawingPart>();
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string>();
  const file = useRef<HTMLInputElement>(null);
  const keep = useKeepEntry(pot, at, onDone);
  const chips = wordChips(at.device.readingLevel);
  const take = async (taken: File | undefined): Promise<void> => {
    if (!taken) return;
    setProblem(undefined);
    try {
      setPicture(await smallPicture(taken));
      setWay('photo');
    } catch (thrown) {
      setProblem(thrown instanceof Error ? thrown.message : say('thisPhotoCouldNotBeRead'));
    }
  };
  const addWord = (word: string): void =>
    setText((before) => say('sentenceWithWord', { before, ifBefore: before === '' ? 'yes' : 'no', word }));
  return (
    <main className="entry-screen">
      <Button variant="light" aria-label={say('backToThePot')} onClick={onBack}>
        <ArrowLeft size={20} aria-hidden="true" />
      </Button>
      <h1>{say('showPot', { number: pot.number })}</h1>
      <input
        ref={file}
        type="file"
        accept="image/*"
        capture="environment"
        className="visually-hidden"
        aria-label={say('chooseAPhoto')}
        onChange={({ target }) => void take(target.files?.[0])}
      />
      {way === undefined && (
        <div className="big-answers">
          <Button size="lg" variant="light" onClick={() => file.current?.click()}>
            <Camera size={30} aria-hidden="true" /> {say('photo')}
          </Button>
          <Button size="lg" variant="light" onClick={() => setWay('drawing')}>
            <Pencil size={30} aria-hidden="true" /> {say('drawing')}
          </Button>
          <Button size="lg" variant="light" onClick={() => setWay('note')}>
            <Type size={30} aria-hidden="true" /> {say('sentence')}
          </Button>
        </div>
      )}
      {way === undefined && <p className="quiet">{say('onlyPlantsInThePicturePleaseNo')}</p>}
      {way === undefined && (
        <PotJournal
          unitId={pot.unitId}
          onGoOn={(drawn) => {
            setBegun(drawn);
            setWay('drawing');
          }}
        />
      )}
      {problem && (
        <p className="note-harm" role="alert">
          {problem}
        </p>
      )}
      {way === 'drawing' && picture === undefined && (
        <DrawingBoard
          chips={chips}
          begun={begun}
          onDrawn={(drawn) => {
            setPicture(drawn.picture);
            setDrawing(drawn.drawing);
          }}
        />
      )}
      {picture !== undefined && (
        <img className="entry-picture" src={pictureAddress(picture)} alt={say('whatYouMade')} />
      )}
      {(way === 'note' || picture !== undefined) && (
        <Form
          onSubmit={(event) => {
            event.preventDefault();
            keep.mutate({ kind: way ?? 'note', note: text.trim(), picture: picture ?? null, drawing });
          }}
        >
          <Form.Label htmlFor="sentence">{say('whatDoYouSee')}</Form.Label>
          <Form.Control
            id="sentence"
            as="textarea"
            rows={3}
            maxLength={MOST_WORDS}
            value={text}
            onChange={({ target }) => setText(target.value)}
          />
          <div className="word-chips" role="group" aria-label={say('wordsToUse')}>
            {chips.map((word) => (
              <Button key={word} variant="light" size="sm" onClick={() => addWord(word)}>
                {word}
              </Button>
            ))}
          </div>
          <FailureNote error={keep.error} />
          <Button type="submit" size="lg" disabled={keep.isPending || (way === 'note' && text.trim() === '')}>
            {say('keepIt')}
          </Button>
        </Form>
      )}
    </main>
  );
}
