import { say } from '@bright-sprout/words/student';
import { liveRoutes } from '@bright-sprout/contract/live';
import { type DeviceView, studentRoutes } from '@bright-sprout/contract/student';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { addressOf, ApiFailure, call, keys } from '../shared/api/index.ts';
import { useChanges } from '../shared/live/index.ts';
import { forgetQueries } from '../shared/offline/index.ts';
import {
  confirmLeaving,
  keepFor,
  MakerProvider,
  ownerClass,
  useOutboxItems,
  useOutboxOf,
  WaitingNote,
} from '../shared/outbox/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { CodeScreen } from './code-screen.tsx';
import { hearOfClass } from './hear-changes.ts';
import { PotsScreen } from './pots-screen.tsx';
import { deviceQuery } from './queries.ts';
import { AvatarsScreen } from './avatars-screen.tsx';
import { VoteSheet } from './vote-sheet.tsx';
import { makerOf } from './use-keep-own.ts';
import './student.scss';

/** What depends on who is at the device. */
const OF_STUDENT = ['pots', 'sowing', 'ideas', 'poll'] as const;

const CHANGES = addressOf(liveRoutes.classChanges, {});

/** The student's side: code, picture, pots, reading. One thing on the screen at a time. */
export default function StudentApp() {
  const device = useQuery(deviceQuery);
  const [isChoosing, setChoosing] = useChoosing();
  const shown = device.data && { ...device.data, studentId: isChoosing ? null : device.data.studentId };
  const queries = useQueryClient();
  const waiting = useOutboxItems().length;
  useOutboxOf(shown && ownerClass(shown.classId));
  useChanges(shown?.studentId ? CHANGES : undefined, hearOfClass, keys.device);
  const leave = useMutation({
    mutationFn: () => call(studentRoutes.leave, {}),
    onSuccess: async () => {
      setChoosing(false);
      await queries.cancelQueries();
      queries.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== 'device' });
      await queries.resetQueries({ queryKey: keys.device });
      await forgetQueries();
    },
  });
  const choose = useMutation({
    mutationFn: ({ studentId, pin }: { studentId: string; pin?: string }) =>
      chosenDevice(device.data as DeviceView, studentId, pin),
    onSuccess: async (chosen) => {
      await queries.cancelQueries({ queryKey: keys.device });
      queries.setQueryData(deviceQuery.queryKey, chosen);
      for (const key of OF_STUDENT) void queries.invalidateQueries({ queryKey: keys.ofDevice(key) });
      setChoosing(false);
    },
  });
  if (device.isPending) return <p className="visually-hidden">{say('opening')}</p>;
  if (!shown) {
    const isOutside = device.error instanceof ApiFailure && device.error.body.code === 'not_joined';
    return (
      <>
        <CodeScreen error={isOutside ? undefined : device.error} />
        <WaitingNote />
      </>
    );
  }
  const { students, studentId } = shown;
  const student = students.find(({ id }) => id === studentId);
  return (
    <div className="student">
      <header className="student-head">
        <b>{shown.className}</b>
        <button
          type="button"
          className="link-button"
          onClick={() => confirmLeaving(waiting) && leave.mutate()}
        >
          {say('leaveTheClass')}
        </button>
      </header>
      {student ? (
        <MakerProvider
          value={makerOf({ device: shown, studentId: student.id, displayName: student.displayName })}
        >
          <FailureNote error={leave.error} />
          <VoteSheet studentId={student.id} displayName={student.displayName} />
          <PotsScreen
            device={shown}
            student={student}
            onAnother={() => {
              choose.reset();
              setChoosing(true);
            }}
          />
        </MakerProvider>
      ) : (
        <AvatarsScreen
          device={shown}
          isBusy={choose.isPending}
          error={choose.error ?? leave.error}
          onChoose={(chosenId, pin) => choose.mutate({ studentId: chosenId, ...(pin ? { pin } : {}) })}
          onBack={() => choose.reset()}
        />
      )}
      <WaitingNote />
    </div>
  );
}

const CHOOSING = 'choosing';

/**
 * True from "Somebody else" until a picture is chosen. It is not kept in the cache, where an answer still on its way
 * would bring the last student back, and it outlives a reload, which would do the same.
 */
function useChoosing(): [boolean, (isChoosing: boolean) => void] {
  const [isChoosing, setChoosing] = useState(() => sessionStorage.getItem(CHOOSING) !== null);
  const keep = (next: boolean): void => {
    if (next) sessionStorage.setItem(CHOOSING, 'yes');
    else sessionStorage.removeItem(CHOOSING);
    setChoosing(next);
  };
  return [isChoosing, keep];
}

/**
 * The device with a student at it. Without network a picture can be chosen all the same: the choice waits on this device
 * before what the student makes, and a PIN is checked when it is sent.
 */
async function chosenDevice(
  device: DeviceView,
  studentId: string,
  pin: string | undefined,
): Promise<DeviceView> {
  const student = device.students.find(({ id }) => id === studentId);
  const result = await keepFor(
    { owner: ownerClass(device.classId), studentId },
    {
      experimentId: '',
      route: 'chooseStudent',
      params: {},
      body: { studentId, ...(pin ? { pin } : {}) },
      label: say('isHere', { displayName: student?.displayName ?? say('somebody') }),
    },
  );
  return result.isSent ? result.answer : { ...device, studentId };
}
