import { say } from '@bright-sprout/words/interface';
import type { ReactNode } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { Link, useLocation } from 'react-router';

/**
 * Words and a way back where a part of the page breaks; what is around it stays. Going elsewhere begins anew. Nothing is
 * reported to anybody.
 */
export function StageBoundary({ home, children }: { home: string; children: ReactNode }) {
  const { pathname } = useLocation();
  return (
    <ErrorBoundary
      resetKeys={[pathname]}
      fallbackRender={({ resetErrorBoundary }) => <Broken home={home} onAgain={resetErrorBoundary} />}
    >
      {children}
    </ErrorBoundary>
  );
}

function Broken({ home, onAgain }: { home: string; onAgain: FallbackProps['resetErrorBoundary'] }) {
  return (
    <section className="trouble" role="alert">
      <h1>{say('thisPartOfThePageStoppedWorking')}</h1>
      <p>{say('whatWasSavedIsSafeAndWhat')}</p>
      <p className="trouble-ways">
        <button type="button" className="btn btn-primary" onClick={() => onAgain()}>
          {say('showItAgain')}
        </button>
        <button type="button" className="btn btn-light" onClick={() => window.location.reload()}>
          {say('loadThePageAnew')}
        </button>
        <Link className="btn btn-light" to={home}>
          {say('toTheBeginning')}
        </Link>
      </p>
    </section>
  );
}
