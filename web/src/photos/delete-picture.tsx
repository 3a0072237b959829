import { say } from '@bright-sprout/words/photos';
import { photoRoutes, type PhotoSummary } from '@bright-sprout/contract/photos';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useAct } from '../readings/index.ts';
import { call } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { FailureNote } from '../shared/ui/index.ts';

/** Deletes a picture for good, after asking. */
export function DeletePicture({ photo }: { photo: PhotoSummary }) {
  const { experiment } = useExperiment();
  const [isAsking, setIsAsking] = useState(false);
  const params = { experimentId: experiment.id, photoId: photo.id };
  const deleting = useAct(() => call(photoRoutes.removePhoto, { params }));
  if (!photo.hasPicture) return null;
  if (!isAsking) {
    return (
      <Button variant="link" className="delete-picture" onClick={() => setIsAsking(true)}>
        {say('deletePicture')}
      </Button>
    );
  }
  return (
    <div className="note-attention">
      <p>{say('deleteSurely')}</p>
      <div className="photo-acts">
        <Button variant="danger" size="sm" disabled={deleting.isPending} onClick={() => deleting.mutate()}>
          {say('deleteNow')}
        </Button>
        <Button variant="light" size="sm" onClick={() => setIsAsking(false)}>
          {say('keepPicture')}
        </Button>
      </div>
      <FailureNote error={deleting.error} />
    </div>
  );
}
