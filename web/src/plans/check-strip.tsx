import { say } from '@bright-sprout/words/plans';
import type { Finding } from '@bright-sprout/core/review';
import { findingWords, SEVERITY_WORDS } from '@bright-sprout/core/words';
import { Link, useSearchParams } from 'react-router';
import { useFindingStyle, useReview } from './use-edited-plan.ts';

/** The worst thing that the design check says, always in sight. */
export function CheckStrip() {
  const findings = useReview();
  const style = useFindingStyle();
  const [search] = useSearchParams();
  const toCheck = new URLSearchParams(search);
  toCheck.set('part', 'check');
  if (!findings) return <p className="check-strip" aria-busy="true" />;
  const open = findings.filter((finding) => isToMend(finding));
  const [worst] = open;
  if (!worst) {
    return (
      <p className="check-strip is-fine" aria-live="polite">
        <b>{say('nothingToMend')}</b>{' '}
        <Link to={{ search: toCheck.toString() }}>{say('seeTheDesignCheck')}</Link>
      </p>
    );
  }
  const { title } = findingWords(worst.facts, style);
  return (
    <p className={`check-strip is-${worst.severity}`} aria-live="polite">
      <small>{SEVERITY_WORDS[worst.severity]}</small>
      <b>{title}</b>
      <Link to={{ search: toCheck.toString() }}>
        {open.length === 1 ? say('seeIt') : say('andMore', { openCount: open.length - 1 })}
      </Link>
    </p>
  );
}

function isToMend({ severity }: Finding): boolean {
  return severity !== 'care' && severity !== 'fine';
}
