import { claimDoubts, claimDoubtWords } from '@bright-sprout/core/words';

/** Gentle notes beside a claim that says more than an experiment can. Nothing is refused. */
export function ClaimNotes({ claim }: { claim: string }) {
  const doubts = claimDoubts(claim);
  return (
    <div role="status" aria-live="polite">
      {doubts.map((doubt) => (
        <p key={doubt} className="note-attention claim-note">
          {claimDoubtWords(doubt)}
        </p>
      ))}
    </div>
  );
}
