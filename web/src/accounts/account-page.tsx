import { say } from '@bright-sprout/words/accounts';
import { accountRoutes, type PasswordRequest } from '@bright-sprout/contract/accounts';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { addressOf, call, keys, sessionQuery, sessionsQuery } from '../shared/api/index.ts';
import { ConfirmPassword, FailureNote, isUnconfirmed, shortDay } from '../shared/ui/index.ts';
import { forgetDevice } from './forget-device.ts';
import { entriesOf, Failure, Field } from './form-fields.tsx';
import { NewPassword } from './new-password.tsx';
import './accounts.scss';

/** The account: who it is, its password, where it is signed in, and how it is removed. */
export default function AccountPage() {
  const teacher = useQuery(sessionQuery).data;
  if (!teacher) return null;
  return (
    <main className="account-page">
      <h1>{say('yourAccount')}</h1>
      <p>
        {teacher.displayName} · {teacher.email}
      </p>
      <ChangePassword about={[teacher.displayName, teacher.email]} />
      <Sessions />
      <AllThatIsKept />
      <RemoveAccount />
    </main>
  );
}

const OF_PASSWORD = ['current', 'password'] as const;

function ChangePassword({ about }: { about: readonly string[] }) {
  const queries = useQueryClient();
  const change = useMutation({
    mutationFn: (body: PasswordRequest) => call(accountRoutes.changePassword, { body }),
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.sessions }),
  });
  return (
    <section className="panel">
      <h2>{say('anotherPassword')}</h2>
      <Form
        key={change.submittedAt && change.isSuccess ? change.submittedAt : 'open'}
        noValidate
        onSubmit={(event) => change.mutate(entriesOf(event, OF_PASSWORD))}
      >
        <Field
          id="current"
          label={say('passwordNow')}
          type="password"
          autoComplete="current-password"
          error={change.error}
        />
        <NewPassword label={say('newPassword')} error={change.error} about={about} />
        <Failure error={change.error} fields={OF_PASSWORD} />
        <Button type="submit" disabled={change.isPending}>
          {say('changeIt')}
        </Button>
        {change.isSuccess && <p role="status">{say('passwordChanged')}</p>}
      </Form>
    </section>
  );
}

function Sessions() {
  const queries = useQueryClient();
  const sessions = useQuery(sessionsQuery);
  const again = () => queries.invalidateQueries({ queryKey: keys.sessions });
  const end = useMutation({
    mutationFn: (sessionId: string) => call(accountRoutes.endSession, { params: { sessionId } }),
    onSuccess: again,
  });
  const endOthers = useMutation({
    mutationFn: () => call(accountRoutes.endOtherSessions, {}),
    onSuccess: again,
  });
  const rows = sessions.data ?? [];
  return (
    <section className="panel">
      <h2>{say('whereYouAreSignedIn')}</h2>
      <ul className="sessions">
        {rows.map(({ id, device, createdAt, lastSeenAt, isThis }) => (
          <li key={id}>
            <span>
              <b>{device || say('unknownDevice')}</b>
              {isThis && ` · ${say('thisOne')}`}
              <br />
              <span className="quiet">
                {say('sinceAndSeen', {
                  since: shortDay(createdAt.slice(0, 10)),
                  seen: shortDay(lastSeenAt.slice(0, 10)),
                })}
              </span>
            </span>
            {!isThis && (
              <Button variant="light" size="sm" disabled={end.isPending} onClick={() => end.mutate(id)}>
                {say('signOutThere')}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {rows.length > 1 && (
        <Button variant="light" disabled={endOthers.isPending} onClick={() => endOthers.mutate()}>
          {say('signOutEverywhereElse')}
        </Button>
      )}
      <FailureNote error={sessions.error ?? end.error ?? endOthers.error} />
    </section>
  );
}

/** The file of the account; the password is asked for, as it holds everything at once. */
function AllThatIsKept() {
  const [isAsking, setIsAsking] = useState(false);
  const save = (): void => {
    setIsAsking(false);
    window.location.assign(addressOf(accountRoutes.keptOfTeacher, {}));
  };
  return (
    <section className="panel">
      <h2>{say('allThatIsKept')}</h2>
      <p>{say('allThatIsKeptIs')}</p>
      {isAsking ? (
        <ConfirmPassword onConfirmed={save} />
      ) : (
        <Button variant="light" onClick={() => setIsAsking(true)}>
          {say('saveTheFile')}
        </Button>
      )}
    </section>
  );
}

function RemoveAccount() {
  const [isAsking, setIsAsking] = useState(false);
  const queries = useQueryClient();
  const remove = useMutation({
    mutationFn: () => call(accountRoutes.removeAccount, {}),
    onSuccess: () => forgetDevice(queries),
  });
  return (
    <section className="panel">
      <h2>{say('removeTheAccount')}</h2>
      <p>{say('removeTheAccountIs')}</p>
      {isAsking ? (
        <div className="button-row">
          <Button variant="danger" disabled={remove.isPending} onClick={() => remove.mutate()}>
            {say('removeForGood')}
          </Button>
          <Button variant="light" onClick={() => setIsAsking(false)}>
            {say('keepIt')}
          </Button>
        </div>
      ) : (
        <Button variant="light" onClick={() => setIsAsking(true)}>
          {say('removeIt')}
        </Button>
      )}
      {isUnconfirmed(remove.error) ? (
        <ConfirmPassword onConfirmed={() => remove.mutate()} />
      ) : (
        <FailureNote error={remove.error} />
      )}
    </section>
  );
}
