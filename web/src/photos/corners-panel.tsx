import { say } from '@bright-sprout/words/photos';
import { photoRoutes, type PhotoSummary } from '@bright-sprout/contract/photos';
import { cornersOf, homography } from '@bright-sprout/core/imaging';
import { undefinedWords } from '@bright-sprout/core/words';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { addressOf, call, keys } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { FailureNote, shortDay } from '../shared/ui/index.ts';
import { DeletePicture } from './delete-picture.tsx';
import { MarkEditor } from './mark-editor.tsx';
import { FIRST_CORNERS, type FoundFrame } from './series.ts';

/** Marks where the container is in a photo. */
export function CornersPanel({ photo, frame }: { photo: PhotoSummary; frame: FoundFrame | undefined }) {
  const { experiment } = useExperiment();
  const queries = useQueryClient();
  const params = { experimentId: experiment.id, photoId: photo.id };
  const [corners, setCorners] = useState<readonly number[]>(frame?.corners ?? FIRST_CORNERS);
  const keeping = useMutation({
    mutationFn: () =>
      call(photoRoutes.framePhoto, { params, body: { corners: [...corners], greyPatch: photo.greyPatch } }),
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.ofExperiment(experiment.id, 'photos') }),
  });
  const [a, b, c, d] = [0, 1, 2, 3].map((index) => ({
    x: corners[2 * index] as number,
    y: corners[2 * index + 1] as number,
  }));
  const map = a && b && c && d ? homography(cornersOf(1, 1), [a, b, c, d]) : undefined;
  const isTakenOver = frame !== undefined && frame.from.id !== photo.id;
  return (
    <div className="photo-work">
      {photo.hasPicture && (
        <MarkEditor
          photo={{
            picture: addressOf(photoRoutes.photoPicture, params),
            alt: say('photoAlt', { day: shortDay(photo.takenOn) }),
            width: photo.width,
            height: photo.height,
          }}
          marks={corners}
          names={[0, 1, 2, 3].map((index) => say('corner', { index }))}
          lines={[[0, 1, 2, 3, 0]]}
          onChange={setCorners}
        />
      )}
      <div className="panel">
        <p>{say('markTheCorners', { order: say('cornerOrder') })}</p>
        {isTakenOver && (
          <p className="note-attention">{say('takenOverFrom', { day: shortDay(frame.from.takenOn) })}</p>
        )}
        {map?.defined === false && (
          <p className="note-attention">{say('cannotFrame', { reason: undefinedWords(map.reason) })}</p>
        )}
        <div className="photo-acts">
          <Button disabled={map?.defined !== true || keeping.isPending} onClick={() => keeping.mutate()}>
            {say('keepCorners')}
          </Button>
          <Button variant="light" onClick={() => setCorners(FIRST_CORNERS)}>
            {say('startOver')}
          </Button>
        </div>
        <p role="status">{keeping.isSuccess && say('cornersKept')}</p>
        <FailureNote error={keeping.error} />
        <DeletePicture photo={photo} />
      </div>
    </div>
  );
}
