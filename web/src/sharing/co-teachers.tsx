import { say } from '@bright-sprout/words/sharing';
import { SHARED_RIGHTS, type SharedRight, type ShareView } from '@bright-sprout/contract/sharing';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { UserPlus } from 'lucide-react';
import { useId, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { v7 as uuid } from 'uuid';
import { keys, sharesQuery } from '../shared/api/index.ts';
import { FailureNote, shortDay, useJoinAddress } from '../shared/ui/index.ts';
import { HandOver } from './hand-over.tsx';
import { sharingOf, type Subject } from './subject.ts';
import './sharing.scss';

/** Who else may see or change a class or an experiment, who is invited, and to whom it can be handed over. */
export function CoTeachers({ subject }: { subject: Subject }) {
  const shares = useQuery(sharesQuery(subject.kind, subject.id));
  const queries = useQueryClient();
  const again = () => queries.invalidateQueries({ queryKey: keys.shares(subject.kind, subject.id) });
  const [may, setMay] = useState<SharedRight>('change');
  const sharing = sharingOf(subject);
  const keep = useMutation({
    mutationFn: ({ id, right }: { id: string; right: SharedRight }) => sharing.keep(id, right),
    onSuccess: again,
  });
  const end = useMutation({ mutationFn: (shareId: string) => sharing.end(shareId), onSuccess: again });
  const taken = shares.data?.filter(({ takenBy }) => takenBy !== null) ?? [];
  const waiting = shares.data?.filter(({ takenBy }) => takenBy === null) ?? [];
  return (
    <section className="co-teachers" aria-label={say('coTeachers')}>
      <h2>{say('coTeachers')}</h2>
      <p className="quiet">{subject.kind === 'class' ? say('whoElseOfClass') : say('whoElseOfExperiment')}</p>
      {taken.length > 0 && (
        <ul>
          {taken.map((share) => (
            <CoTeacher
              key={share.id}
              share={share}
              subject={subject}
              onMay={(right) => keep.mutate({ id: share.id, right })}
              onEnd={() => end.mutate(share.id)}
            />
          ))}
        </ul>
      )}
      {waiting.map((share) => (
        <Invitation key={share.id} share={share} onTakeBack={() => end.mutate(share.id)} />
      ))}
      <div className="invite">
        <RightChoice label={say('theyMay')} may={may} onChoose={setMay} />
        <Button
          variant="light"
          disabled={keep.isPending}
          onClick={() => keep.mutate({ id: uuid(), right: may })}
        >
          <UserPlus size={16} aria-hidden="true" /> {say('invite')}
        </Button>
      </div>
      <FailureNote error={shares.error ?? keep.error ?? end.error} />
    </section>
  );
}

function CoTeacher({
  share,
  subject,
  onMay,
  onEnd,
}: {
  share: ShareView;
  subject: Subject;
  onMay: (may: SharedRight) => void;
  onEnd: () => void;
}) {
  const name = share.takenBy ?? '';
  return (
    <li>
      <RightChoice label={say('may', { name })} may={share.may} onChoose={onMay} />
      <span className="button-row">
        <HandOver subject={subject} shareId={share.id} name={name} />
        <Button variant="light" size="sm" aria-label={say('endFor', { name })} onClick={onEnd}>
          {say('end')}
        </Button>
      </span>
    </li>
  );
}

function RightChoice({
  label,
  may,
  onChoose,
}: {
  label: string;
  may: SharedRight;
  onChoose: (may: SharedRight) => void;
}) {
  const id = useId();
  return (
    <Form.Group controlId={id} className="right-choice">
      <Form.Label>{label}</Form.Label>
      <Form.Select value={may} onChange={({ target }) => onChoose(target.value as SharedRight)}>
        {SHARED_RIGHTS.map((right) => (
          <option key={right} value={right}>
            {right === 'see' ? say('see') : say('change')}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
}

/** An invitation that waits: the address to pass on. */
function Invitation({ share, onTakeBack }: { share: ShareView; onTakeBack: () => void }) {
  const { origin } = useJoinAddress();
  const [isCopied, setIsCopied] = useState(false);
  const address = `${origin}/invited/${share.code}`;
  return (
    <div className="invitation">
      <p>
        {say('waitsUntil', { day: shortDay(share.expiresAt.slice(0, 10)) })} <b>{address}</b>
      </p>
      <p className="quiet">{say('giveThem')}</p>
      <div className="button-row">
        {'clipboard' in navigator && (
          <Button
            variant="light"
            size="sm"
            onClick={() => void navigator.clipboard.writeText(address).then(() => setIsCopied(true))}
          >
            {isCopied ? say('copied') : say('copyIt')}
          </Button>
        )}
        <Button variant="light" size="sm" onClick={onTakeBack}>
          {say('takeBack')}
        </Button>
      </div>
    </div>
  );
}
