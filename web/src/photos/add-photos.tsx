import { say } from '@bright-sprout/words/photos';
import { photoRoutes, type PhotoSummary } from '@bright-sprout/contract/photos';
import type { ContainerView } from '@bright-sprout/contract/plans';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type ChangeEvent, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Modal from 'react-bootstrap/Modal';
import { v7 as uuid } from 'uuid';
import { call, keys, sendFile } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { imaging } from './imaging.ts';
import { photoDay } from './photo-day.ts';
import { PotSelect } from './pot-select.tsx';

/** A photo that was chosen, before it is sent. */
interface NewPhoto {
  readonly id: string;
  readonly file: File;
  readonly day: string;
  readonly isCamera: boolean;
}

/** Adds photos of a container: many at once, each with the day it was taken, which is looked at before it counts. */
export function AddPhotos({
  container,
  view,
  onePotId,
}: {
  container: ContainerView;
  view: PhotoSummary['view'];
  /** The pot that photos from above show alone. */
  onePotId: string | null;
}) {
  const { experiment } = useExperiment();
  const chooser = useRef<HTMLInputElement>(null);
  const [chosen, setChosen] = useState<readonly NewPhoto[]>([]);
  const pots = experiment.units.filter(({ containerId }) => containerId === container.id);
  const [sidePotId, setSidePotId] = useState(pots[0]?.id ?? '');
  const unitId = view === 'side' ? sidePotId : onePotId;
  const shown = { view, containerId: container.id, unitId };
  const { send, sendingName, error } = useSending(shown, (id) =>
    setChosen((before) => before.filter((one) => one.id !== id)),
  );
  const choose = async ({ target }: ChangeEvent<HTMLInputElement>): Promise<void> => {
    const files = [...(target.files ?? [])];
    target.value = '';
    const days = await Promise.all(files.map((file) => photoDay(file, experiment.today)));
    setChosen(files.map((file, index) => ({ id: uuid(), file, ...(days[index] as (typeof days)[number]) })));
  };
  const setDay = (id: string, day: string): void =>
    setChosen(chosen.map((one) => (one.id === id ? { ...one, day } : one)));
  return (
    <>
      <Button size="sm" onClick={() => chooser.current?.click()}>
        {say('addPhotos')}
      </Button>
      <input
        ref={chooser}
        type="file"
        hidden
        accept="image/jpeg,image/png,image/webp"
        multiple
        onChange={(event) => void choose(event)}
      />
      <Modal show={chosen.length > 0} onHide={() => setChosen([])} scrollable>
        <Modal.Header closeButton>
          <Modal.Title>{say('newPhotos')}</Modal.Title>
        </Modal.Header>
        <Modal.Body>
          <p>{say(view === 'above' ? 'addPhotosHint' : 'noSidePhotosYet')}</p>
          {view === 'side' && <PotSelect pots={pots} chosenId={sidePotId} onChoose={setSidePotId} />}
          <ul className="new-photos">
            {chosen.map(({ id, file, day, isCamera }) => (
              <li key={id}>
                <Form.Label htmlFor={`day-${id}`}>{file.name}</Form.Label>
                <Form.Control
                  id={`day-${id}`}
                  size="sm"
                  type="date"
                  aria-label={say('dayOfPhoto', { name: file.name })}
                  value={day}
                  max={experiment.today}
                  onChange={({ target }) => setDay(id, target.value)}
                />
                <small className="quiet">{isCamera ? say('dayFromCamera') : say('dayFromFile')}</small>
                <Button
                  size="sm"
                  variant="link"
                  onClick={() => setChosen(chosen.filter((one) => one.id !== id))}
                >
                  {say('leaveOut')}
                </Button>
              </li>
            ))}
          </ul>
          <p role="status">{sendingName !== undefined && say('sending', { name: sendingName })}</p>
          <FailureNote error={error} />
        </Modal.Body>
        <Modal.Footer>
          <Button disabled={sendingName !== undefined} onClick={() => send(chosen)}>
            {say('sendThem', { count: chosen.length })}
          </Button>
        </Modal.Footer>
      </Modal>
    </>
  );
}

/** Sends photos one after the other; one that fails stays in the list with those after it. */
function useSending(
  shown: Pick<PhotoSummary, 'view' | 'containerId' | 'unitId'>,
  onKept: (id: string) => void,
) {
  const { experiment } = useExperiment();
  const queries = useQueryClient();
  const [sendingName, setSendingName] = useState<string>();
  const sending = useMutation({
    mutationFn: async (photos: readonly NewPhoto[]) => {
      for (const { id, file, day } of photos) {
        setSendingName(file.name);
        const small = await imaging().shrink(file);
        const bytes = new Uint8Array(await small.arrayBuffer());
        const picture = await sendFile(bytes);
        await call(photoRoutes.keepPhoto, {
          params: { experimentId: experiment.id, photoId: id },
          body: { ...shown, takenOn: day, picture },
        });
        onKept(id);
      }
    },
    onSettled: () => {
      setSendingName(undefined);
      return queries.invalidateQueries({ queryKey: keys.ofExperiment(experiment.id, 'photos') });
    },
  });
  return { send: sending.mutate, sendingName, error: sending.error };
}
