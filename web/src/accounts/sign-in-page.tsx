import { accountRoutes, RegisterRequest, SignInRequest } from '@bright-sprout/contract/accounts';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useForm } from 'react-hook-form';
import { call, sessionQuery } from '../shared/api/index.ts';
import { PlantFromSide, PotFromSide } from '../shared/plants/index.ts';
import { FailureNote, fieldMessage, Logo } from '../shared/ui/index.ts';

/** Sign in, or open an account. */
export function SignInPage() {
  const [isNew, setIsNew] = useState(false);
  return (
    <main className="device">
      <div className="joining-picture" aria-hidden="true">
        <Seedlings />
      </div>
      <div className="joining-card">
        <p className="joining-brand">
          <Logo /> Bright Sprout
        </p>
        <h1>{isNew ? 'Open an account' : 'Sign in'}</h1>
        <p className="quiet">
          {isNew
            ? 'For teachers. Students never need an account or an e-mail.'
            : 'Plan a fair test, read it pot by pot, see what your class can honestly say.'}
        </p>
        {isNew ? <RegisterForm /> : <SignInForm />}
        <Button variant="link" className="joining-switch" onClick={() => setIsNew(!isNew)}>
          {isNew ? 'I have an account: sign in' : 'New here? Open an account'}
        </Button>
      </div>
    </main>
  );
}

function SignInForm() {
  const queries = useQueryClient();
  const { register, handleSubmit, formState } = useForm<SignInRequest>({
    resolver: classValidatorResolver(SignInRequest),
    defaultValues: { email: '', password: '' },
  });
  const signIn = useMutation({
    mutationFn: (body: SignInRequest) => call(accountRoutes.signIn, { body }),
    onSuccess: (teacher) => queries.setQueryData(sessionQuery.queryKey, teacher),
  });
  return (
    <Form noValidate onSubmit={(event) => void handleSubmit((body) => signIn.mutate({ ...body }))(event)}>
      <Field id="email" label="E-mail" error={formState.errors.email?.message}>
        <Form.Control
          {...register('email')}
          id="email"
          type="email"
          autoComplete="username"
          isInvalid={!!formState.errors.email}
        />
      </Field>
      <Field id="password" label="Password" error={formState.errors.password?.message}>
        <Form.Control
          {...register('password')}
          id="password"
          type="password"
          autoComplete="current-password"
          isInvalid={!!formState.errors.password}
        />
      </Field>
      <FailureNote error={signIn.error} />
      <Button type="submit" size="lg" className="w-100" disabled={signIn.isPending}>
        {signIn.isPending ? 'Signing in …' : 'Sign in'}
      </Button>
    </Form>
  );
}

function RegisterForm() {
  const queries = useQueryClient();
  const { register, handleSubmit, formState } = useForm<RegisterRequest>({
    resolver: classValidatorResolver(RegisterRequest),
    defaultValues: {
      email: '',
      displayName: '',
      password: '',
      timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC',
    },
  });
  const open = useMutation({
    mutationFn: (body: RegisterRequest) => call(accountRoutes.register, { body }),
    onSuccess: (teacher) => queries.setQueryData(sessionQuery.queryKey, teacher),
  });
  const { errors } = formState;
  const emailProblem = errors.email?.message ?? fieldMessage(open.error, 'email');
  return (
    <Form noValidate onSubmit={(event) => void handleSubmit((body) => open.mutate({ ...body }))(event)}>
      <Field id="displayName" label="Name your students know you by" error={errors.displayName?.message}>
        <Form.Control
          {...register('displayName')}
          id="displayName"
          autoComplete="name"
          isInvalid={!!errors.displayName}
        />
      </Field>
      <Field id="email" label="E-mail" error={emailProblem}>
        <Form.Control
          {...register('email')}
          id="email"
          type="email"
          autoComplete="username"
          isInvalid={!!emailProblem}
        />
      </Field>
      <Field id="password" label="Password, at least 10 characters" error={errors.password?.message}>
        <Form.Control
          {...register('password')}
          id="password"
          type="password"
          autoComplete="new-password"
          isInvalid={!!errors.password}
        />
      </Field>
      {!fieldMessage(open.error, 'email') && <FailureNote error={open.error} />}
      <Button type="submit" size="lg" className="w-100" disabled={open.isPending}>
        Open an account
      </Button>
    </Form>
  );
}

function Field({
  id,
  label,
  error,
  children,
}: {
  id: string;
  label: string;
  error: string | undefined;
  children: React.ReactNode;
}) {
  return (
    <Form.Group className="mb-3" controlId={id}>
      <Form.Label>{label}</Form.Label>
      {children}
      <Form.Control.Feedback type="invalid" className={error ? 'd-block' : ''}>
        {error}
      </Form.Control.Feedback>
    </Form.Group>
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
      <rect x="20" y="392" width="530" height="12" rx="6" fill="#e2d5ba" />
      {plants.map(({ x, height, habit }) => (
        <g key={x} transform={`translate(${x} 310)`}>
          <PotFromSide width={104} depth={82} />
          <PlantFromSide height={height} habit={habit} />
        </g>
      ))}
    </svg>
  );
}
