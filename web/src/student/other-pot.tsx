import { say } from '@bright-sprout/words/student';
import { studentRoutes } from '@bright-sprout/contract/student';
import { useQuery } from '@tanstack/react-query';
import Button from 'react-bootstrap/Button';
import { ApiFailure, call, keys } from '../shared/api/index.ts';
import { TreatmentMark } from '../shared/plants/index.ts';
import { FailureNote } from '../shared/ui/index.ts';

/** A pot whose code was read and that is not among those to read: whose it is, and why. */
export function OtherPot({ unitId, onClose }: { unitId: string; onClose: () => void }) {
  const { data, error } = useQuery({
    queryKey: keys.ofDevice('unit', unitId),
    queryFn: () => call(studentRoutes.otherPot, { params: { unitId } }),
    retry: false,
  });
  const isNobodys = error instanceof ApiFailure && error.body.code === 'not_found';
  if (error && !isNobodys) return <FailureNote error={error} />;
  if (!data && !isNobodys) return null;
  return (
    <section className="other-pot note-attention" role="status">
      <h2>
        {data ? (
          <>
            <TreatmentMark style={data.style} size={22} /> {say('otherPotNumber', { number: data.number })}
          </>
        ) : (
          say('noSuchPot')
        )}
      </h2>
      <p>
        {data
          ? say('otherPotWhy', { why: data.why, team: data.team, hasTeam: data.team ? 'yes' : 'no' })
          : say('noSuchPotHint')}
      </p>
      <Button variant="light" onClick={onClose}>
        {say('myPots')}
      </Button>
    </section>
  );
}
