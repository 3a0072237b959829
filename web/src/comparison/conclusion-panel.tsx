import { say } from '@bright-sprout/words/comparison';
import { MOST_CLAIM_CHARACTERS } from '@bright-sprout/core/shared';
import { claimDoubts, claimDoubtWords } from '@bright-sprout/core/words';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { v7 as uuid } from 'uuid';
import { conclusionsQuery } from '../shared/api/index.ts';
import { useExperiment, useMayChange } from '../shared/experiment/index.ts';
import { useKeep } from '../shared/outbox/index.ts';
import { ClaimNotes, FailureNote, shortDay } from '../shared/ui/index.ts';

/** Claim, evidence, reasoning: the evidence is drafted from the numbers, the rest is written by people. */
export function ConclusionPanel({ evidence }: { evidence: readonly string[] }) {
  const { experiment } = useExperiment();
  const mayChange = useMayChange();
  const queries = useQueryClient();
  const keepConclusion = useKeep();
  const conclusions = useQuery(conclusionsQuery(experiment.id)).data ?? [];
  const [isOpen, setIsOpen] = useState(false);
  const [claim, setClaim] = useState('');
  const [reasoning, setReasoning] = useState('');
  const [ownEvidence, setOwnEvidence] = useState<string>();
  const [id, setId] = useState(() => uuid());
  const text = ownEvidence ?? evidence.join('\n');
  const keep = useMutation({
    mutationFn: () =>
      keepConclusion({
        id,
        route: 'keepConclusion',
        experimentId: experiment.id,
        params: { experimentId: experiment.id, conclusionId: id },
        body: { claim, reasoning, evidence: text },
        label: say('aConclusion'),
      }),
    onSuccess: () => {
      setClaim('');
      setReasoning('');
      setOwnEvidence(undefined);
      setId(uuid());
      setIsOpen(false);
      return queries.invalidateQueries(conclusionsQuery(experiment.id));
    },
  });
  return (
    <section className="panel conclusion-panel" aria-label={say('whatWeSayItMeans')}>
      <div className="chart-head">
        <h3>{say('claimEvidenceReasoning')}</h3>
        {mayChange && !isOpen && (
          <Button size="sm" variant="light" onClick={() => setIsOpen(true)}>
            {say('writeAConclusion')}
          </Button>
        )}
      </div>
      {isOpen && (
        <Form
          onSubmit={(event) => {
            event.preventDefault();
            keep.mutate();
          }}
        >
          <Form.Group controlId="claim">
            <Form.Label>{say('whatWeClaim')}</Form.Label>
            <Form.Control
              as="textarea"
              rows={2}
              maxLength={MOST_CLAIM_CHARACTERS}
              value={claim}
              autoFocus
              onChange={(event) => setClaim(event.target.value)}
            />
            <ClaimNotes claim={claim} />
          </Form.Group>
          <Form.Group controlId="evidence">
            <Form.Label>{say('theEvidenceDraftedFromTheNumbers')}</Form.Label>
            <Form.Control
              as="textarea"
              rows={Math.min(8, evidence.length + 1)}
              maxLength={4000}
              value={text}
              onChange={(event) => setOwnEvidence(event.target.value)}
            />
          </Form.Group>
          <Form.Group controlId="reasoning">
            <Form.Label>{say('whyWeThinkSo')}</Form.Label>
            <Form.Control
              as="textarea"
              rows={2}
              maxLength={MOST_CLAIM_CHARACTERS}
              value={reasoning}
              onChange={(event) => setReasoning(event.target.value)}
            />
          </Form.Group>
          <FailureNote error={keep.error} />
          <div className="button-row">
            <Button type="submit" disabled={claim.trim() === '' || keep.isPending}>
              {say('keepIt')}
            </Button>
            <Button variant="light" onClick={() => setIsOpen(false)}>
              {say('later')}
            </Button>
          </div>
        </Form>
      )}
      {conclusions.length === 0 && !isOpen && (
        <p className="quiet">{say('nobodyHasWrittenAConclusionYet')}</p>
      )}
      <ol className="conclusions">
        {conclusions.map((conclusion) => (
          <li key={conclusion.id}>
            <blockquote>{conclusion.claim}</blockquote>
            {conclusion.evidence && <p className="evidence">{conclusion.evidence}</p>}
            {conclusion.reasoning && <p>{say('why', { reasoning: conclusion.reasoning })}</p>}
            <p className="quiet">
              {conclusion.observer}, {shortDay(conclusion.writtenAt.slice(0, 10))}
              {claimDoubts(conclusion.claim).map((doubt) => ` · ${claimDoubtWords(doubt)}`)}
            </p>
          </li>
        ))}
      </ol>
    </section>
  );
}
