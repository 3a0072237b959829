import { say } from '@bright-sprout/words/student';
import { type JoinRequest, studentRoutes } from '@bright-sprout/contract/student';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useSearchParams } from 'react-router';
import { call } from '../shared/api/index.ts';
import { FailureNote, Logo } from '../shared/ui/index.ts';
import { deviceQuery } from './queries.ts';

const MOST_SIGNS = 12;

/** The code on the board opens the class. */
export function CodeScreen({ error }: { error: unknown }) {
  const queries = useQueryClient();
  const [search] = useSearchParams();
  const [code, setCode] = useState(search.get('code') ?? '');
  const join = useMutation({
    mutationFn: (body: JoinRequest) => call(studentRoutes.join, { body }),
    onSuccess: (device) => queries.setQueryData(deviceQuery.queryKey, device),
  });
  return (
    <main className="student code-screen">
      <Logo size={84} />
      <h1>{say('typeTheClassCode')}</h1>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          if (code.trim() !== '') join.mutate({ code });
        }}
      >
        <Form.Control
          value={code}
          maxLength={MOST_SIGNS}
          autoCapitalize="characters"
          autoComplete="off"
          spellCheck={false}
          aria-label={say('classCode')}
          onChange={({ target }) => setCode(target.value.toUpperCase())}
        />
        <Button type="submit" size="lg" disabled={code.trim().length < 4 || join.isPending}>
          {say('goIn')}
        </Button>
      </Form>
      <FailureNote error={join.error ?? error} />
    </main>
  );
}
