import type { ReactNode } from 'react';
import Table from 'react-bootstrap/Table';

/** A table that scrolls within its own box where it is too wide, by finger or keys. */
export function ScrollTable({
  label,
  className = '',
  children,
}: {
  /** What the table holds, for those who hear it. */
  label: string;
  className?: string;
  children: ReactNode;
}) {
  return (
    <div className="table-responsive" tabIndex={0} role="region" aria-label={label}>
      <Table size="sm" className={className}>
        {children}
      </Table>
    </div>
  );
}
