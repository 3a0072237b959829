import { say } from '@bright-sprout/words/photos';
import { photoRoutes, type PhotoSummary } from '@bright-sprout/contract/photos';
import { containerShape, type Stroke } from '@bright-sprout/core/imaging';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { call, keys } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { FailureNote, shortDay } from '../shared/ui/index.ts';
import { Brush } from './brush.tsx';
import { type FoundFrame, leftOutOf, type Seen } from './series.ts';
import { Straightened } from './straightened.tsx';

const THICKNESSES = { thin: 0.02, thick: 0.06 } as const;

/** Goes with a brush over what is no plant: a label, a stick, a cloth. */
export function LeaveOut({ seen, photo, frame }: { seen: Seen; photo: PhotoSummary; frame: FoundFrame }) {
  const { experiment } = useExperiment();
  const queries = useQueryClient();
  const [strokes, setStrokes] = useState<readonly Stroke[]>(frame.leftOut);
  const [isThick, setIsThick] = useState(true);
  const keeping = useMutation({
    mutationFn: () =>
      call(photoRoutes.framePhoto, {
        params: { experimentId: experiment.id, photoId: photo.id },
        body: {
          corners: [...frame.corners],
          greyPatch: frame.greyPatch && [...frame.greyPatch],
          size: frame.size && { ...frame.size },
          leftOut: leftOutOf({ leftOut: strokes }),
        },
      }),
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.ofExperiment(experiment.id, 'photos') }),
  });
  return (
    <div className="photo-work">
      <Straightened photo={photo} frame={frame} seen={seen} threshold={null}>
        <Brush
          strokes={strokes}
          thickness={isThick ? THICKNESSES.thick : THICKNESSES.thin}
          shape={containerShape(seen, frame.size)}
          onStroke={(stroke) => setStrokes([...strokes, stroke])}
        />
      </Straightened>
      <div className="panel">
        <p>{say('leaveOutHint')}</p>
        <p className="quiet">{say('leaveOutKeys')}</p>
        {frame.from.id !== photo.id && frame.leftOut.length > 0 && (
          <p className="note-attention">{say('leftOutTakenOver', { day: shortDay(frame.from.takenOn) })}</p>
        )}
        <Form.Check
          type="switch"
          id="thick-brush"
          label={say('thickBrush')}
          checked={isThick}
          onChange={({ target }) => setIsThick(target.checked)}
        />
        <div className="photo-acts">
          <Button disabled={strokes === frame.leftOut || keeping.isPending} onClick={() => keeping.mutate()}>
            {say('keepLeftOut')}
          </Button>
          <Button
            variant="light"
            disabled={strokes.length === 0}
            onClick={() => setStrokes(strokes.slice(0, -1))}
          >
            {say('takeStrokeBack')}
          </Button>
          <Button variant="light" disabled={strokes.length === 0} onClick={() => setStrokes([])}>
            {say('startOver')}
          </Button>
        </div>
        <p role="status">
          {keeping.isSuccess ? say('leftOutKept') : say('strokesNow', { count: strokes.length })}
        </p>
        <FailureNote error={keeping.error} />
      </div>
    </div>
  );
}
