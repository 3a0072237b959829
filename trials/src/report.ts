/** What one trial found. */
export interface Outcome {
  readonly name: string;
  /** Figures in the order of the table's columns. */
  readonly figures: Readonly<Record<string, number | string>>;
  /** What must not be; empty when all is well. */
  readonly faults: readonly string[];
}

/** Prints a table of outcomes and the closing line, and gives the exit code. */
export function report(title: string, outcomes: readonly Outcome[]): number {
  const columns = [...new Set(outcomes.flatMap(({ figures }) => Object.keys(figures)))];
  console.log(`\n== ${title}`);
  console.log(`| ${['trial', ...columns].join(' | ')} |`);
  console.log(`|${'---|'.repeat(columns.length + 1)}`);
  for (const { name, figures } of outcomes) {
    console.log(`| ${[name, ...columns.map((column) => figures[column] ?? '')].join(' | ')} |`);
  }
  for (const { name, faults } of outcomes) for (const fault of faults) console.log(`FAULT ${name}: ${fault}`);
  const failed = outcomes.filter(({ faults }) => faults.length > 0).length;
  console.log(`${outcomes.length - failed} passed, ${failed} failed`);
  return failed === 0 ? 0 : 1;
}
