import { say } from '@bright-sprout/words/accounts';
import { accountRoutes, type RegisterRequest, type SignInRequest } from '@bright-sprout/contract/accounts';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Alert from 'react-bootstrap/Alert';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { call, registrationQuery, sessionQuery } from '../shared/api/index.ts';
import { PlantFromSide, PotFromSide } from '../shared/plants/index.ts';
import { COLOURS, Logo } from '../shared/ui/index.ts';
import { entriesOf, Failure, Field } from './form-fields.tsx';
import { NewPassword } from './new-password.tsx';
import './accounts.scss';

/** Sign in, or open an account. */
export function SignInPage() {
  const [isNew, setIsNew] = useState(false);
  return (
    <main className="joining">
      <div className="joining-picture" aria-hidden="true">
        <Seedlings />
      </div>
      <div className="joining-card">
        <p className="joining-brand">
          <Logo /> {say('brightSprout')}
        </p>
        <h1>{isNew ? say('openAnAccount') : say('signIn')}</h1>
        <p className="quiet">
          {isNew ? say('forTeachersStudentsNeverNeedAn') : say('planAFairTestReadItPot')}
        </p>
        {isNew ? <RegisterForm /> : <SignInForm />}
        <Button variant="link" className="joining-switch" onClick={() => setIsNew(!isNew)}>
          {isNew ? say('iHaveAnAccountSignIn') : say('newHereOpenAnAccount')}
        </Button>
      </div>
    </main>
  );
}

function SignInForm() {
  const queries = useQueryClient();
  const signIn = useMutation({
    mutationFn: (body: SignInRequest) => call(accountRoutes.signIn, { body }),
    onSuccess: (teacher) => queries.setQueryData(sessionQuery.queryKey, teacher),
  });
  return (
    <Form noValidate onSubmit={(event) => signIn.mutate(entriesOf(event, ['email', 'password']))}>
      <Field id="email" label={say('eMail')} type="email" autoComplete="username" error={signIn.error} />
      <Field
        id="password"
        label={say('password')}
        type="password"
        autoComplete="current-password"
        error={signIn.error}
      />
      <Failure error={signIn.error} fields={['email', 'password']} />
      <Button type="submit" size="lg" className="w-100" disabled={signIn.isPending}>
        {signIn.isPending ? say('signingIn') : say('signIn')}
      </Button>
    </Form>
  );
}

const NOBODY: readonly string[] = [];
const OF_ACCOUNT = ['displayName', 'email', 'password', 'invitation'] as const;

function RegisterForm() {
  const queries = useQueryClient();
  const registration = useQuery(registrationQuery).data?.registration;
  const open = useMutation({
    mutationFn: (body: Omit<RegisterRequest, 'timeZone'>) =>
      call(accountRoutes.register, {
        body: { ...body, timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC' },
      }),
    onSuccess: (teacher) => queries.setQueryData(sessionQuery.queryKey, teacher),
  });
  if (registration === 'closed') return <Alert variant="info">{say('accountsAreClosed')}</Alert>;
  return (
    <Form noValidate onSubmit={(event) => open.mutate(entriesOf(event, OF_ACCOUNT))}>
      {registration === 'invitation' && (
        <Field id="invitation" label={say('invitation')} autoComplete="off" error={open.error} />
      )}
      <Field
        id="displayName"
        label={say('nameYourStudentsKnowYouBy')}
        autoComplete="name"
        error={open.error}
      />
      <Field id="email" label={say('eMail')} type="email" autoComplete="username" error={open.error} />
      <NewPassword label={say('passwordAtLeast12Characters')} error={open.error} about={NOBODY} />
      <Failure error={open.error} fields={OF_ACCOUNT} />
      <Button type="submit" size="lg" className="w-100" disabled={open.isPending}>
        {say('openAnAccount')}
      </Button>
    </Form>
  );
}

function Seedlings() {
  const plants = [
    { x: 90, height: 0, habit: 'upright' },
    { x: 220, height: 46, habit: 'upright' },
    { x: 350, height: 120, habit: 'bush' },
    { x: 480, height: 210, habit: 'climber' },
  ] as const;
  return (
    <svg viewBox="0 0 570 420" className="seedlings">
      <rect x="20" y="392" width="530" height="12" rx="6" fill={COLOURS.dune} />
      {plants.map(({ x, height, habit }) => (
        <g key={x} transform={`translate(${x} 310)`}>
          <PotFromSide width={104} depth={82} />
          <PlantFromSide height={height} habit={habit} />
        </g>
      ))}
    </svg>
  );
}
