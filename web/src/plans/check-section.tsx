import { say } from '@bright-sprout/words/plans';
import type { Finding, Severity } from '@bright-sprout/core/review';
import { costWords, findingWords, mendText, propaguleWord, SEVERITY_WORDS } from '@bright-sprout/core/words';
import Button from 'react-bootstrap/Button';
import { useSurroundings } from '../shared/experiment/index.ts';
import { usePlanEditor } from './plan-editor.tsx';
import { useFindingStyle, useReview } from './use-edited-plan.ts';

/** The design check: worst first, each with what mending costs and a mend where there is one. */
export function CheckSection() {
  const findings = useReview();
  const { state } = usePlanEditor();
  if (!findings) return <p className="quiet">{say('lookingAtThePlan')}</p>;
  const groups = Object.keys(SEVERITY_WORDS) as Severity[];
  return (
    <div className="check-section">
      {state === 'not-valid' && <p className="note-attention">{say('mendWhatIsMarkedInTheOther')}</p>}
      {groups.map((severity) => (
        <Findings
          key={severity}
          severity={severity}
          findings={findings.filter((finding) => finding.severity === severity)}
        />
      ))}
    </div>
  );
}

function Findings({ severity, findings }: { severity: Severity; findings: readonly Finding[] }) {
  const style = useFindingStyle();
  const { apply, isPlanted, plan } = usePlanEditor();
  const crop = useSurroundings()?.crops.find(({ id }) => id === plan.cropId);
  const propagule = propaguleWord(plan.conditions.startsAs ?? 'seed', crop);
  if (findings.length === 0) return null;
  return (
    <section className={`findings is-${severity}`} aria-label={SEVERITY_WORDS[severity]}>
      <h2>{SEVERITY_WORDS[severity]}</h2>
      <ul>
        {findings.map((finding) => {
          const { title, detail } = findingWords(finding.facts, style);
          const own = isPlanted ? null : finding.mend;
          return (
            <li key={JSON.stringify(finding.facts)}>
              <div>
                <h3>{title}</h3>
                <p>{detail}</p>
              </div>
              {own && (
                <div className="mend">
                  <Button variant="light" size="sm" onClick={() => apply(own.changes)}>
                    {mendText(finding, style)}
                  </Button>
                  <small>{costWords(own.cost, propagule)}</small>
                </div>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
