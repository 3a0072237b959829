import { say } from '@bright-sprout/words/imports';
import { addDays, type CalendarDay } from '../shared/index.ts';
import type { RowReader } from './cells.ts';
import type {
  ExchangedContainer,
  ExchangedExperiment,
  ExchangedReading,
  ExchangedTreatment,
  ExchangedUnit,
  ExchangedVariable,
} from './model.ts';
import { FACTOR_PREFIX } from './tidy-columns.ts';

/** The most units one experiment may hold. */
export const MOST_UNITS = 500;

const MOST_TREATMENTS = 24;

/** The most different things that one experiment reads. */
export const MOST_VARIABLES = 60;

const DEFAULT_COLUMNS = 6;

/** Order of what the file gives no order: after all that has one, as first met. */
const LAST = Number.MAX_SAFE_INTEGER;

interface UnitDraft {
  number: number;
  firstRow: Omit<ExchangedUnit, 'row' | 'column' | 'replicate' | 'container'>;
  place: { container: number; row: number | undefined; column: number | undefined };
  replicate: number | undefined;
}

/** Gathers the plan (units, treatments, containers, variables) from the columns repeated on every row. */
export class PlanCollector {
  readonly #factors: readonly string[];
  readonly #units = new Map<number, UnitDraft & { index: number }>();
  readonly #treatments = new Map<string, ExchangedTreatment & { order: number }>();
  readonly #containers = new Map<number, ExchangedContainer>();
  readonly #variables = new Map<string, ExchangedVariable & { order: number; index: number }>();
  #question = '';
  #crop = '';
  #sowOn: CalendarDay | undefined;
  #lessonOn: CalendarDay | undefined;

  /** @param factors header cells of the factor columns, with their prefix */
  constructor(factors: readonly string[]) {
    this.#factors = factors;
  }

  get unitCount(): number {
    return this.#units.size;
  }

  /** The unit of a row; problems go to the reader and give undefined. */
  unitOf(
    reader: RowReader,
    sownOn: CalendarDay | undefined,
  ): { index: number; sownOn: CalendarDay | null } | undefined {
    this.#question ||= reader.text('question');
    this.#crop ||= reader.text('crop', 80);
    this.#sowOn ??= reader.day('sow_on');
    this.#lessonOn ??= reader.day('lesson_on');
    const number = reader.whole('unit', 1, 9999);
    if (number === undefined) {
      if (reader.text('unit') === '') reader.problem('unit', 'nothing', say('theNumberOfThePot'));
      return undefined;
    }
    const treatment = this.#treatmentOf(reader);
    if (treatment === undefined) return undefined;
    const known = this.#units.get(number);
    if (known) {
      const same = this.#sameUnit(reader, known.firstRow, treatment, sownOn);
      return same ? { index: known.index, sownOn: known.firstRow.sownOn } : undefined;
    }
    if (this.#units.size === MOST_UNITS) {
      reader.problem(
        'unit',
        say('moreThanDifferentPots', { mostUnits: MOST_UNITS }),
        say('atMostPots', { mostUnits: MOST_UNITS }),
      );
      return undefined;
    }
    const firstRow = {
      number,
      treatment,
      block: reader.text('block', 40),
      team: reader.text('team', 60),
      sownOn: sownOn ?? null,
      seedsSown: reader.whole('seeds_sown', 0, 10_000) ?? null,
    };
    const index = this.#units.size;
    this.#units.set(number, {
      index,
      number,
      firstRow,
      place: {
        container: this.#containerOf(reader),
        row: reader.whole('row', 1, 100),
        column: reader.whole('column', 1, 100),
      },
      replicate: reader.whole('replicate', 1, 9999),
    });
    return { index, sownOn: firstRow.sownOn };
  }

  /** Index of a variable, made on first sight. */
  variable(found: ExchangedVariable, order = LAST): number {
    const known = this.#variables.get(found.name);
    if (known) return known.index;
    const index = this.#variables.size;
    this.#variables.set(found.name, { ...found, order, index });
    return index;
  }

  /** True when one more variable would be too many. */
  get isFullOfVariables(): boolean {
    return this.#variables.size >= MOST_VARIABLES;
  }

  /** The kind that a variable was first seen with. */
  knownVariable(name: string): ExchangedVariable | undefined {
    return this.#variables.get(name);
  }

  /** The finished experiment. @param name its question when the file gave none */
  finish(readings: readonly ExchangedReading[], name: string): ExchangedExperiment {
    const drafts = [...this.#units.values()];
    const containers = this.#containersWithRoom(drafts);
    if (this.#variables.size === 0) this.variable({ name: 'height', kind: 'length', unit: 'cm', step: 0.1 });
    const treatments = inOrder([...this.#treatments.values()]);
    const variables = inOrder([...this.#variables.values()]);
    const units = placed(drafts, containers).map((unit) => ({
      ...unit,
      treatment: treatments.rankOf(unit.treatment),
    }));
    const days = readings.map((reading) => reading.observedOn).sort();
    const sown = units.flatMap((unit) => unit.sownOn ?? []).sort();
    const sowOn = this.#sowOn ?? sown[0] ?? days[0] ?? ('2000-01-01' as CalendarDay);
    return {
      question: this.#question || name,
      crop: this.#crop,
      sowOn,
      lessonOn: this.#lessonOn ?? days.at(-1) ?? addDays(sowOn, 28),
      factors:
        this.#factors.length > 0
          ? this.#factors.map((factor) => factor.slice(FACTOR_PREFIX.length))
          : [say('treatment')],
      containers,
      treatments: treatments.items.map(({ name: label, isControl, levels }) => ({
        name: label,
        isControl,
        levels,
      })),
      units,
      variables: variables.items.map(({ name: label, kind, unit, step }) => ({
        name: label,
        kind,
        unit,
        step,
      })),
      readings: readings.map((reading) => ({ ...reading, variable: variables.rankOf(reading.variable) })),
    };
  }

  #treatmentOf(reader: RowReader): number | undefined {
    const levels = this.#factors.map((factor) => reader.text(factor, 60));
    const name = reader.text('treatment', 120) || levels.join(' + ');
    if (name === '' || levels.some((level) => level === '')) {
      reader.problem(
        levels.includes('') ? (this.#factors[levels.indexOf('')] ?? 'treatment') : 'treatment',
        'nothing',
        say('theTreatmentOfThePot'),
      );
      return undefined;
    }
    const known = this.#treatments.get(name);
    if (known && levels.length > 0 && known.levels.join('\u0000') !== levels.join('\u0000')) {
      reader.problem(
        FACTOR_PREFIX,
        levels.join(' + '),
        say('asInTheFirstRowOfTreatment', { levels: known.levels.join(' + '), name }),
      );
      return undefined;
    }
    if (!known) {
      if (this.#treatments.size === MOST_TREATMENTS) {
        reader.problem(
          'treatment',
          say('moreThanTreatments', { mostTreatments: MOST_TREATMENTS }),
          say('atMostTreatments', { mostTreatments: MOST_TREATMENTS }),
        );
        return undefined;
      }
      const isControl = reader.oneOf('control', ['yes', 'no']) === 'yes';
      if (isControl && [...this.#treatments.values()].some((treatment) => treatment.isControl)) {
        reader.problem('control', say('aSecondControl'), say('oneTreatmentAtMostMarkedAsThe'));
      }
      const order = reader.whole('treatment_order', 1, 999) ?? LAST;
      this.#treatments.set(name, { name, isControl, levels: levels.length > 0 ? levels : [name], order });
    }
    return [...this.#treatments.keys()].indexOf(name);
  }

  #containerOf(reader: RowReader): number {
    const number = reader.whole('container', 1, 50) ?? 1;
    if (!this.#containers.has(number)) {
      this.#containers.set(number, {
        kind: reader.text('container_kind', 30) || 'cups',
        rows: reader.whole('container_rows', 1, 100) ?? 0,
        columns: reader.whole('container_columns', 1, 100) ?? 0,
      });
    }
    return [...this.#containers.keys()].indexOf(number);
  }

  #sameUnit(
    reader: RowReader,
    first: UnitDraft['firstRow'],
    treatment: number,
    sownOn: CalendarDay | undefined,
  ): boolean {
    const names = [...this.#treatments.keys()];
    if (first.treatment !== treatment) {
      reader.problem(
        'treatment',
        names[treatment] ?? '',
        say('asInTheFirstRowOfPot', { name: names[first.treatment], number: first.number }),
      );
      return false;
    }
    if ((sownOn ?? null) !== first.sownOn && sownOn !== undefined) {
      reader.problem(
        'sown',
        sownOn,
        say('asInTheFirstRowOfPot2', { sownOn: first.sownOn ?? 'nothing', number: first.number }),
      );
      return false;
    }
    return true;
  }

  #containersWithRoom(drafts: readonly UnitDraft[]): ExchangedContainer[] {
    return [...this.#containers.values()].map((container, index) => {
      const inside = drafts.filter((draft) => draft.place.container === index);
      const isPlaced = inside.every(
        (draft) => draft.place.row !== undefined && draft.place.column !== undefined,
      );
      const columns = Math.max(
        container.columns,
        isPlaced ? largest(inside, 'column') : Math.min(DEFAULT_COLUMNS, inside.length),
      );
      const rows = Math.max(
        container.rows,
        isPlaced ? largest(inside, 'row') : Math.ceil(inside.length / columns),
      );
      return { ...container, rows, columns };
    });
  }
}

/** Items by their order, and where each went. */
function inOrder<T extends { order: number }>(
  found: readonly T[],
): { items: T[]; rankOf: (index: number) => number } {
  const ranked = found
    .map((item, index) => ({ item, index }))
    .sort((a, b) => a.item.order - b.item.order || a.index - b.index);
  return {
    items: ranked.map(({ item }) => item),
    rankOf: (index) => ranked.findIndex((entry) => entry.index === index),
  };
}

function largest(drafts: readonly UnitDraft[], side: 'row' | 'column'): number {
  return Math.max(1, ...drafts.map((draft) => draft.place[side] ?? 1));
}

/** Gives every unit a place of its own: the file's when it is free, else the first free one in walking order. */
function placed(drafts: readonly UnitDraft[], containers: ExchangedContainer[]): ExchangedUnit[] {
  const taken = new Set<string>();
  const replicates = new Map<number, number>();
  return drafts.map((draft) => {
    const { container } = draft.place;
    const grid = containers[container] as ExchangedContainer;
    let { row, column } = draft.place;
    if (row === undefined || column === undefined || taken.has(`${container}/${row}/${column}`)) {
      let at = 0;
      while (taken.has(`${container}/${Math.floor(at / grid.columns) + 1}/${(at % grid.columns) + 1}`))
        at += 1;
      row = Math.floor(at / grid.columns) + 1;
      column = (at % grid.columns) + 1;
      containers[container] = { ...grid, rows: Math.max(grid.rows, row) };
    }
    taken.add(`${container}/${row}/${column}`);
    const counted = (replicates.get(draft.firstRow.treatment) ?? 0) + 1;
    replicates.set(draft.firstRow.treatment, counted);
    return { ...draft.firstRow, container, row, column, replicate: draft.replicate ?? counted };
  });
}
