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
      <h1>This part of the page stopped working</h1>
      <p>
        What was saved is safe, and what still waits to be sent stays on this device. Nothing was reported to
        anybody.
      </p>
      <p className="trouble-ways">
        <button type="button" className="btn btn-primary" onClick={() => onAgain()}>
          Show it again
        </button>
        <button type="button" className="btn btn-light" onClick={() => window.location.reload()}>
          Load the page anew
        </button>
        <Link className="btn btn-light" to={home}>
          To the beginning
        </Link>
      </p>
    </section>
  );
}
