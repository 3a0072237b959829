import { say } from '@bright-sprout/words/accounts';
import { type TeacherView, accountRoutes } from '@bright-sprout/contract/accounts';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { LogOut } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { call } from '../shared/api/index.ts';
import { confirmLeaving, useOutboxItems } from '../shared/outbox/index.ts';
import { forgetDevice } from './forget-device.ts';
import './accounts.scss';

/** Who is signed in, and the way out. */
export function AccountMenu({ teacher }: { teacher: TeacherView }) {
  const queries = useQueryClient();
  const waiting = useOutboxItems().length;
  const signOut = useMutation({
    mutationFn: () => call(accountRoutes.signOut, {}),
    onSuccess: () => forgetDevice(queries),
  });
  return (
    <div className="account">
      <Link to="/account" title={say('yourAccount')}>
        {teacher.displayName}
      </Link>
      <Button variant="light" size="sm" onClick={() => confirmLeaving(waiting) && signOut.mutate()}>
        <LogOut size={16} aria-hidden="true" /> {say('signOut')}
      </Button>
    </div>
  );
}
