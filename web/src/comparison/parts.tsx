import type { TestOutcome } from '@bright-sprout/core/comparison';
import { figuresText, TEST_NAMES, undefinedWords } from '@bright-sprout/core/words';
import type { ReactNode } from 'react';
import { ScrollTable } from '../shared/ui/index.ts';

/** What a tab says first, in sentences. */
export function Sentences({ lines }: { lines: readonly string[] }) {
  if (lines.length === 0) return null;
  return (
    <div className="tab-words">
      {lines.map((line) => (
        <p key={line}>{line}</p>
      ))}
    </div>
  );
}

/** A small table, its first column as row heads. */
export function PlainTable({
  columns,
  rows,
}: {
  columns: readonly string[];
  rows: readonly (readonly ReactNode[])[];
}) {
  return (
    <ScrollTable label={columns.filter((column) => column !== '').join(', ')} className="plain-table">
      <thead>
        <tr>
          {columns.map((column) => (
            <th key={column} scope="col">
              {column}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row, index) => (
          <tr key={index}>
            {row.map((cell, at) =>
              at === 0 ? (
                <th key={at} scope="row">
                  {cell}
                </th>
              ) : (
                <td key={at}>{cell}</td>
              ),
            )}
          </tr>
        ))}
      </tbody>
    </ScrollTable>
  );
}

/** A test as a row of name and figures. */
export function testRow(what: string, outcome: TestOutcome): [string, string, string] {
  return outcome.defined
    ? [what, TEST_NAMES[outcome.value.method].name, figuresText(outcome.value)]
    : [what, '–', undefinedWords(outcome.reason)];
}
