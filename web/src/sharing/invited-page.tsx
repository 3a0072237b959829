import { say } from '@bright-sprout/words/sharing';
import { type InvitationView, sharingRoutes } from '@bright-sprout/contract/sharing';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Link, useNavigate, useParams } from 'react-router';
import { call, invitationQuery, keys } from '../shared/api/index.ts';
import { FailureNote, Said } from '../shared/ui/index.ts';
import './sharing.scss';

/** What a code invites to, and taking it; without a code, the place to type it. */
export default function InvitedPage() {
  const { code = '' } = useParams();
  const invitation = useQuery({ ...invitationQuery(code), enabled: code !== '' });
  return (
    <main className="invited-page">
      <section className="panel">
        <h1>{say('invitedTitle')}</h1>
        {invitation.data && code !== '' ? (
          <Offer invitation={invitation.data} code={code} />
        ) : (
          <>
            <FailureNote error={invitation.error} />
            {!(code !== '' && invitation.isPending) && <TypeCode />}
          </>
        )}
      </section>
    </main>
  );
}

/** Signs of a code, whatever stands between them. */
const CODE = /[A-Z0-9]{10}$/;

function TypeCode() {
  const [typed, setTyped] = useState('');
  const navigate = useNavigate();
  const code = CODE.exec(typed.toUpperCase().replaceAll(/[^A-Z0-9/]/g, ''))?.[0];
  return (
    <Form
      className="type-code"
      onSubmit={(event) => {
        event.preventDefault();
        if (code) void navigate(`/invited/${code}`);
      }}
    >
      <Form.Group controlId="invitation-code">
        <Form.Label>{say('typeTheCode')}</Form.Label>
        <Form.Control
          value={typed}
          autoComplete="off"
          spellCheck={false}
          aria-describedby="invitation-help"
          onChange={({ target }) => setTyped(target.value)}
        />
        <p className="quiet" id="invitation-help">
          {say('typeItIn')}
        </p>
      </Form.Group>
      <Button type="submit" disabled={!code}>
        {say('lookAtIt')}
      </Button>
    </Form>
  );
}

function Offer({ invitation, code }: { invitation: InvitationView; code: string }) {
  const { from, name, may } = invitation;
  const isClass = invitation.what === 'class';
  const queries = useQueryClient();
  const navigate = useNavigate();
  const take = useMutation({
    mutationFn: () => call(sharingRoutes.takeInvitation, { params: { codeKey: code } }),
    onSuccess: async ({ experimentId }) => {
      await Promise.all(
        [keys.classes, keys.experiments].map((queryKey) => queries.invalidateQueries({ queryKey })),
      );
      await navigate(experimentId ? `/experiments/${experimentId}` : '/classes');
    },
  });
  return (
    <>
      <p>
        <Said by={say} code={isClass ? 'invitedToClass' : 'invitedToExperiment'} values={{ from, name }} />
      </p>
      <p>{may === 'see' ? say('youMaySee') : say('youMayChange', { from })}</p>
      <FailureNote error={take.error} />
      <div className="button-row">
        <Button disabled={take.isPending} onClick={() => take.mutate()}>
          {say('takeIt')}
        </Button>
        <Link className="btn btn-light" to="/">
          {say('notNow')}
        </Link>
      </div>
    </>
  );
}
