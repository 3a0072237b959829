import { say } from '@bright-sprout/words/interface';
import { Download, Table2 } from 'lucide-react';
import { useState } from 'react';
import Table from 'react-bootstrap/Table';
import type { FigureData } from './figure-base.ts';
import { downloadPicture, Figure } from './figure.tsx';

/** The figures behind a chart. */
export interface ChartTable {
  readonly columns: readonly string[];
  readonly rows: readonly (readonly (string | number)[])[];
}

/** What a chart card shows. */
export interface ChartCardProps {
  readonly title: string;
  /** What is drawn, for who cannot see it. */
  readonly label: string;
  readonly figure: FigureData;
  readonly table: ChartTable;
  readonly note?: string | undefined;
  readonly className?: string;
}

/** A chart with its title, its figures one press away, and its downloads. */
export default function ChartCard({ title, label, figure, table, note, className }: ChartCardProps) {
  const [isTable, setIsTable] = useState(false);
  const name = title.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-');
  return (
    <section className={`panel chart-panel ${className ?? ''}`} aria-label={title}>
      <div className="chart-head">
        <h3>{title}</h3>
        <div className="chart-tools" role="group" aria-label={say('figuresAndDownloads', { title })}>
          <button
            type="button"
            className={isTable ? 'pill is-on' : 'pill'}
            aria-pressed={isTable}
            onClick={() => setIsTable(!isTable)}
          >
            <Table2 size={14} aria-hidden="true" /> {say('table')}
          </button>
          <button type="button" className="pill" onClick={() => void downloadPicture(figure, 'png', name)}>
            <Download size={14} aria-hidden="true" /> {say('png')}
          </button>
          <button type="button" className="pill" onClick={() => void downloadPicture(figure, 'svg', name)}>
            {say('svg')}
          </button>
          <button type="button" className="pill" onClick={() => void downloadTable(table, name)}>
            {say('csv')}
          </button>
        </div>
      </div>
      {isTable ? <FiguresTable table={table} /> : <Figure figure={figure} label={label} />}
      {note && <p className="quiet chart-note">{note}</p>}
    </section>
  );
}

/** Figures as a table. */
export function FiguresTable({ table }: { table: ChartTable }) {
  return (
    <div className="chart-table">
      <Table size="sm">
        <thead>
          <tr>
            {table.columns.map((column) => (
              <th key={column} scope="col">
                {column}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.rows.map((row, index) => (
            <tr key={index}>
              {row.map((cell, column) => (
                <td key={column}>{cell}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </Table>
    </div>
  );
}

/** Text that a spreadsheet would run gets an apostrophe. */
function plain(cell: string | number): string | number {
  return typeof cell === 'string' && /^[=+\-@\t\r]/.test(cell) && !/^[-+]?[\d.]+$/.test(cell)
    ? `'${cell}`
    : cell;
}

async function downloadTable({ columns, rows }: ChartTable, name: string): Promise<void> {
  const { default: Papa } = await import('papaparse');
  const text = Papa.unparse([columns.map(plain), ...rows.map((row) => row.map(plain))]);
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type: 'text/csv' }));
  link.download = `${name}.csv`;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}
