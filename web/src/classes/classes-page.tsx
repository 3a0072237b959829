import { say } from '@bright-sprout/words/classes';
import { type ClassView, OFFER_ERASURE_AFTER_DAYS } from '@bright-sprout/contract/classes';
import { useQuery } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { classesQuery } from '../shared/api/index.ts';
import { FailureNote, longDay, StandStill } from '../shared/ui/index.ts';
import { CoTeachers, SharedNote } from '../sharing/index.ts';
import { ClassForm } from './class-form.tsx';
import { Roster } from './roster.tsx';
import './classes.scss';

/** Classes: when they meet, who is in them, and their teams. */
export default function ClassesPage() {
  const { data, error } = useQuery(classesQuery);
  const [chosenId, setChosenId] = useState<string>();
  const [isNew, setIsNew] = useState(false);
  const chosen = isNew ? undefined : (data?.find(({ id }) => id === chosenId) ?? data?.[0]);
  const isEmpty = data?.length === 0;
  const maySeeOnly = chosen?.shared?.may === 'see';
  return (
    <main className="inventory-page">
      <h1>{say('classes')}</h1>
      <FailureNote error={error} />
      <div className="class-tabs" role="group" aria-label={say('classes')}>
        {data?.map((one) => (
          <ClassTab
            key={one.id}
            schoolClass={one}
            isChosen={one.id === chosen?.id}
            onChoose={() => {
              setChosenId(one.id);
              setIsNew(false);
            }}
          />
        ))}
        {!isEmpty && (
          <Button variant="light" aria-pressed={isNew} onClick={() => setIsNew(true)}>
            <Plus size={16} aria-hidden="true" /> {say('anotherClass')}
          </Button>
        )}
      </div>
      {isEmpty && <p className="quiet">{say('aClassNeedsANameAndIts')}</p>}
      <p>
        <Link to="/invited">{say('wereYouInvited')}</Link>
      </p>
      <div className="inventory-below class-below">
        {data && (
          <section
            className="panel"
            aria-label={chosen ? say('about', { chosen: chosen.name }) : say('aNewClass')}
          >
            {chosen && isQuietForLong(chosen) && (
              <p className="note-attention" role="note">
                {say('quietForLong', { day: longDay(chosen.quietSince) })}
              </p>
            )}
            {chosen?.shared && (
              <SharedNote
                subject={{ kind: 'class', id: chosen.id, name: chosen.name }}
                shared={chosen.shared}
              />
            )}
            <StandStill isOn={maySeeOnly}>
              <ClassForm
                key={chosen?.id ?? 'new'}
                schoolClass={chosen}
                onKept={(id) => {
                  setChosenId(id);
                  setIsNew(false);
                }}
              />
            </StandStill>
          </section>
        )}
        {chosen && (
          <section className="panel" aria-label={say('rosterOf', { chosen: chosen.name })}>
            <StandStill isOn={maySeeOnly}>
              <Roster key={chosen.id} schoolClass={chosen} />
            </StandStill>
            {!chosen.shared && (
              <CoTeachers key={chosen.id} subject={{ kind: 'class', id: chosen.id, name: chosen.name }} />
            )}
          </section>
        )}
      </div>
    </main>
  );
}

/** True when the names of an own class should go, as nobody needs them any more. */
function isQuietForLong({ quietSince, shared }: ClassView): boolean {
  const days = (Date.now() - Date.parse(quietSince)) / 86_400_000;
  return !shared && days > OFFER_ERASURE_AFTER_DAYS;
}

function ClassTab({
  schoolClass,
  isChosen,
  onChoose,
}: {
  schoolClass: ClassView;
  isChosen: boolean;
  onChoose: () => void;
}) {
  return (
    <Button variant={isChosen ? 'primary' : 'light'} aria-pressed={isChosen} onClick={onChoose}>
      {schoolClass.name} <small>{schoolClass.students.length}</small>
    </Button>
  );
}
