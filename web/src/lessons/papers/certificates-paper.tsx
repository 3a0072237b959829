import { say } from '@bright-sprout/words/lessons';
import { readText } from '@bright-sprout/core/words';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { classesQuery, practiceQuery } from '../../shared/api/index.ts';
import { useExperiment } from '../../shared/experiment/index.ts';
import { longDay } from '../../shared/ui/index.ts';
import type { LessonNow } from '../lesson-now.ts';
import { type CertificateFor, madeOut } from './certificate-owners.ts';
import { type Certificate, firstSprouts, fullRecords, marksPassed } from './certificates.ts';
import type { PaperProps } from './papers-page.tsx';

const MOST_READERS = 60;

/** Certificates for what was done, as the teacher ticks. Nobody is ranked: all that did it get one. */
export function CertificatesPaper({ now, hasNames }: PaperProps) {
  const [kinds, setKinds] = useState<ReadonlySet<Certificate['kind']>>(
    new Set(['mark', 'first_sprout', 'full_record']),
  );
  const [madeTo, setMadeTo] = useState<CertificateFor>('pots');
  const [withReaders, setWithReaders] = useState(true);
  const [readers, setReaders] = useState(0);
  const { experiment } = useExperiment();
  const schoolClass = useQuery(classesQuery).data?.find(({ id }) => id === experiment.classId);
  const practised = useQuery({
    ...practiceQuery(experiment.classId ?? ''),
    enabled: experiment.classId !== null,
  }).data;
  const careful = withReaders ? (practised?.careful ?? []) : [];
  const teamName = new Map(schoolClass?.teams.map(({ id, name }) => [id, name]));
  const children = (schoolClass?.students ?? []).map(({ id, displayName, teamId }) => ({
    ...{ id, displayName, team: teamName.get(teamId ?? '') ?? '' },
  }));
  const found = [...marksPassed(now), ...firstSprouts(now), ...fullRecords(now)];
  const [leftOut, setLeftOut] = useState<ReadonlySet<string>>(new Set());
  const keyOf = ({ kind, id }: Certificate): string => `${kind} ${id}`;
  const ofKinds = found.filter(({ kind }) => kinds.has(kind));
  const shown = ofKinds.filter((one) => !leftOut.has(keyOf(one)));
  const toggle = <T,>(set: ReadonlySet<T>, item: T): ReadonlySet<T> => {
    const next = new Set(set);
    if (!next.delete(item)) next.add(item);
    return next;
  };
  return (
    <>
      <fieldset className="not-printed certificate-choices">
        <legend>{say('certificatesFor')}</legend>
        {(['mark', 'first_sprout', 'full_record'] as const).map((kind) => (
          <Form.Check
            key={kind}
            id={`certificate-${kind}`}
            type="checkbox"
            label={say('kindTimes', {
              kind: KIND_NAMES[kind],
              times: found.filter((one) => one.kind === kind).length,
            })}
            checked={kinds.has(kind)}
            onChange={() => setKinds(toggle(kinds, kind))}
          />
        ))}
        {practised && practised.careful.length > 0 && (
          <Form.Check
            id="certificate-readers"
            type="checkbox"
            label={say('carefulInPractice', { count: practised.careful.length })}
            checked={withReaders}
            onChange={() => setWithReaders(!withReaders)}
          />
        )}
        <label>
          {say('carefulReaders')}{' '}
          <Form.Control
            type="number"
            size="sm"
            min={0}
            max={MOST_READERS}
            value={readers}
            onChange={({ target }) =>
              setReaders(Math.max(0, Math.min(MOST_READERS, Math.round(Number(target.value)))))
            }
          />
        </label>
        <Form.Select
          size="sm"
          aria-label={say('madeOutTo')}
          value={madeTo}
          onChange={({ target }) => setMadeTo(target.value as CertificateFor)}
        >
          <option value="pots">{say('forEachPot')}</option>
          <option value="teams">{say('forEachTeam')}</option>
          {children.length > 0 && <option value="students">{say('forEachStudent')}</option>}
        </Form.Select>
        <div className="certificate-pots">
          {ofKinds.map((one) => (
            <Form.Check
              key={keyOf(one)}
              inline
              id={keyOf(one).replaceAll(' ', '-')}
              type="checkbox"
              label={say('certificateOfPot', { number: one.number, kind: KIND_NAMES[one.kind] })}
              checked={!leftOut.has(keyOf(one))}
              onChange={() => setLeftOut(toggle(leftOut, keyOf(one)))}
            />
          ))}
        </div>
      </fieldset>
      {shown.length === 0 && readers + careful.length === 0 && (
        <p className="not-printed">{say('noCertificateYet')}</p>
      )}
      {madeOut(shown, madeTo, children, hasNames).map(({ key, kind, name, pots }) => (
        <CertificateCard key={key} title={KIND_NAMES[kind]} name={name}>
          {pots.map((one) => (
            <span key={one.id}>
              <CertificateText one={one} now={now} />
            </span>
          ))}
        </CertificateCard>
      ))}
      {careful.map(({ studentId, displayName }) => (
        <CertificateCard key={studentId} title={say('carefulReader')} name={hasNames ? displayName : ''}>
          {say('readsARulerWithCare')}
        </CertificateCard>
      ))}
      {Array.from({ length: readers }, (_, at) => (
        <CertificateCard key={`reader ${at}`} title={say('carefulReader')} name="">
          {say('readsARulerWithCare')}
        </CertificateCard>
      ))}
    </>
  );
}

const KIND_NAMES: Readonly<Record<Certificate['kind'], string>> = {
  mark: say('markPassed'),
  first_sprout: say('firstSprout'),
  full_record: say('fullRecord'),
};

function CertificateText({ one, now }: { one: Certificate; now: LessonNow }) {
  const { number } = one;
  switch (one.kind) {
    case 'mark':
      return say('potPassedTheMark', {
        number,
        value: readText(one.value, now.style),
        mark: readText(one.mark, now.style),
        day: longDay(one.day),
      });
    case 'first_sprout':
      return say('potWasUpFirst', { number, day: longDay(one.day), age: one.age });
    case 'full_record':
      return say('potHasAFullRecord', { number, days: one.days });
  }
}

function CertificateCard({
  title,
  name,
  children,
}: {
  title: string;
  name: string;
  children: React.ReactNode;
}) {
  const { experiment } = useExperiment();
  return (
    <section className="certificate">
      <h2>{title}</h2>
      <p className="certificate-text">{children}</p>
      <p>{experiment.question}</p>
      <p className="name-line">{name === '' ? say('nameLine') : name}</p>
    </section>
  );
}
