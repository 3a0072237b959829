import { say } from '@bright-sprout/words/photos';
import { photoRoutes, type PhotoSummary } from '@bright-sprout/contract/photos';
import { cornersOf, homography } from '@bright-sprout/core/imaging';
import { undefinedWords } from '@bright-sprout/core/words';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { addressOf, call, keys } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { FailureNote, shortDay } from '../shared/ui/index.ts';
import { DeletePicture } from './delete-picture.tsx';
import { MarkEditor } from './mark-editor.tsx';
import { FIRST_CORNERS, type FoundFrame, leftOutOf, rulerOfPhotos } from './series.ts';
import { SizeFields, sizeTyped, typedSize } from './size-fields.tsx';

/** Marks where the container is in a photo. */
export function CornersPanel({ photo, frame }: { photo: PhotoSummary; frame: FoundFrame | undefined }) {
  const { experiment } = useExperiment();
  const queries = useQueryClient();
  const params = { experimentId: experiment.id, photoId: photo.id };
  const [corners, setCorners] = useState<readonly number[]>(frame?.corners ?? FIRST_CORNERS);
  const [patch, setPatch] = useState(middleOf(photo.greyPatch ?? frame?.greyPatch ?? null));
  const scale = rulerOfPhotos(experiment);
  const [typed, setTyped] = useState(typedSize(frame?.size ?? null, scale));
  const size = sizeTyped(typed, scale);
  const keeping = useMutation({
    mutationFn: () =>
      call(photoRoutes.framePhoto, {
        params,
        body: {
          corners: [...corners],
          greyPatch: patch && aroundMiddle(patch),
          leftOut: leftOutOf(frame),
          size: size ? { ...size } : null,
        },
      }),
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
          marks={[...corners, ...(patch ?? [])]}
          names={[
            ...[0, 1, 2, 3].map((index) => say('corner', { index })),
            ...(patch ? [say('greyPatch')] : []),
          ]}
          lines={[[0, 1, 2, 3, 0]]}
          onChange={(marks) => {
            setCorners(marks.slice(0, 8));
            if (patch) setPatch(marks.slice(8));
          }}
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
        <Form.Check
          type="switch"
          id="has-patch"
          label={say('hasGreyPatch')}
          checked={patch !== null}
          onChange={({ target }) => setPatch(target.checked ? FIRST_PATCH : null)}
        />
        <SizeFields typed={typed} isWrong={size === undefined} onChange={setTyped} />
        <div className="photo-acts">
          <Button
            disabled={map?.defined !== true || size === undefined || keeping.isPending}
            onClick={() => keeping.mutate()}
          >
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

/** Where the mark of a grey patch begins, and the sides of what is taken around it, as shares. */
const FIRST_PATCH: readonly number[] = [0.5, 0.05];
const PATCH_SIDE = 0.03;

function middleOf(patch: readonly number[] | null): readonly number[] | null {
  if (!patch) return null;
  const [left = 0, top = 0, width = 0, height = 0] = patch;
  return [left + width / 2, top + height / 2];
}

function aroundMiddle([x = 0, y = 0]: readonly number[]): number[] {
  const inside = (middle: number): number => Math.min(1 - PATCH_SIDE, Math.max(0, middle - PATCH_SIDE / 2));
  return [inside(x), inside(y), PATCH_SIDE, PATCH_SIDE];
}
