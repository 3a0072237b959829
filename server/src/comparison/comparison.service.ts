import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/refusals';
import {
  COMPARISON_PARTS,
  type ComparisonPart,
  type ComparisonQuery,
  type ComparisonView,
} from '@bright-sprout/contract/comparison';
import {
  type Comparison,
  compareTreatments,
  type Design,
  emergencePart,
  grouped,
  type Grouped,
  growthPart,
  seedsAnswer,
  type SeedsAnswer,
  teamsPart,
  treatmentsPart,
  areSownUnlike,
  sharesOfSown,
} from '@bright-sprout/core/comparison';
import { scoresOf } from '@bright-sprout/core/design';
import { lastDayMostRead, type ReadingFact, type UnitDay, unitDays } from '@bright-sprout/core/growth';
import { calendarDay } from '@bright-sprout/core/shared';
import { comparedStyle, comparisonWords, countingWords, summaryStyle } from '@bright-sprout/core/words';
import { Injectable } from '@nestjs/common';
import { notFound } from '../shared/index.ts';
import {
  type AnyReading,
  type ComparedVariable,
  type ComparisonFacts,
  ComparisonFactsService,
} from './comparison-facts.ts';

const EMPTY: Pick<ComparisonView, ComparisonPart> = {
  treatments: null,
  growth: null,
  emergence: null,
  teams: null,
};

/** Comparisons, computed by the core from the readings that still count. */
@Injectable()
export class ComparisonService {
  constructor(private readonly facts: ComparisonFactsService) {}

  /** Compares groups of units on the day asked for, else on the last day that most were read. */
  async compare(experimentId: string, query: ComparisonQuery): Promise<ComparisonView> {
    const setAside = query.setAside ?? 'left_out';
    const parts = partsOf(query);
    const by = query.groupBy ?? 'treatment';
    const facts = await this.facts.of(experimentId, query.variableId, setAside, parts.size > 0);
    const { variable, sowOn, all, design } = facts;
    if (variable === undefined) throw notFound();
    const readDays = [...new Set(facts.readings.map((reading) => reading.day))].sort();
    const isShareOfSown = variable.name === 'seeds up' && areSownUnlike(design.units);
    const compared = isShareOfSown ? sharesOfSown(facts.readings, design.units) : facts.readings;
    const findings = unitDays(compared);
    const day =
      query.day === undefined
        ? (lastDayMostRead(findings, facts.units.length) ?? sowOn)
        : calendarDay(query.day);
    const sorted = grouped(design, by);
    const readings = query.per === 'per_pot' ? unitDays(perPot(compared, design)) : findings;
    const compares = compareTreatments({
      treatments: sorted.groups,
      units: sorted.units,
      readings,
      day,
      rule: query.rule ?? 'only_up',
      summary: query.summary ?? 'day',
      design,
      by,
      isOrdinal: variable.kind === 'score',
      countsSeeds: variable.name === 'seeds up',
    });
    const comparison = { ...compares, seeds: seedsOf(compares, facts, sorted) };
    const words = comparisonWords({
      comparison,
      treatments: sorted.groups,
      style: summaryStyle(comparedStyle(variable, { isShareOfSown }), comparison.summary),
      level: query.level ?? '11-13',
    });
    return {
      ...comparison,
      ...EMPTY,
      ...partsView(parts, { comparison, known: facts, sorted, variable, all, query, isShareOfSown }),
      design:
        parts.size > 0 || design.factors.length > 1
          ? { factors: design.factors, treatments: design.treatments }
          : null,
      variableId: variable.id,
      readDays,
      isShareOfSown,
      setAside: facts.setAsideDays.filter((aside) => aside <= day).length,
      names: sorted.groups,
      words: {
        ...words,
        counting: [
          countingWords(comparison, isOfPlants(variable) ? facts.plantRule : null),
          ...(isShareOfSown ? [say('sharesOfTheSeedsSown')] : []),
          ...overLevels(facts, query),
        ].join(' '),
      },
    };
  }
}

/** Seeds that were counted where all were treated the same, beside what their packet says. */
function seedsOf(
  comparison: Comparison,
  { variable, readings, design, packetRate }: ComparisonFacts,
  { groups, units }: Grouped,
): SeedsAnswer | null {
  if (groups.length !== 1 || variable?.name !== 'seeds up') return null;
  const counts = unitDays(readings);
  return seedsAnswer(
    emergencePart(comparison, design, units, { histories: counts, counts, packetRate, isLength: false }),
  );
}

function partsOf({ parts }: ComparisonQuery): Set<ComparisonPart> {
  if (parts === undefined) return new Set(COMPARISON_PARTS);
  const asked = parts.split(',');
  return new Set(COMPARISON_PARTS.filter((part) => asked.includes(part)));
}

interface PartsInput {
  readonly comparison: Comparison;
  readonly known: ComparisonFacts;
  readonly sorted: Grouped;
  readonly variable: ComparedVariable;
  readonly all: readonly AnyReading[];
  readonly query: ComparisonQuery;
  readonly isShareOfSown: boolean;
}

function partsView(parts: ReadonlySet<ComparisonPart>, input: PartsInput): Partial<ComparisonView> {
  const { comparison, known, sorted, variable, all, query, isShareOfSown } = input;
  const { design, packetRate } = known;
  const histories = unitDays(upOrNot(all));
  const isUp = new Map(
    [...histories].map(([unitId, history]): [string, boolean] => [
      unitId,
      history.some((finding) => finding.day <= comparison.day && finding.state === 'emerged'),
    ]),
  );
  const own = all.filter((reading) => reading.variable === variable.name);
  const stage = scoresOf('stage');
  return {
    ...(parts.has('treatments')
      ? {
          treatments: treatmentsPart(comparison, design, isUp, query.squares ?? 'II'),
        }
      : {}),
    ...(parts.has('growth')
      ? {
          growth: growthPart(
            comparison,
            new Map(design.units.map((unit) => [unit.id, unit.sownOn])),
            stage ? { scores: stage, histories: named(all, 'stage') } : null,
          ),
        }
      : {}),
    ...(parts.has('emergence')
      ? {
          emergence: emergencePart(comparison, design, sorted.units, {
            histories,
            counts: named(all, 'seeds up'),
            packetRate,
            isLength: variable.kind === 'length',
          }),
        }
      : {}),
    ...(parts.has('teams')
      ? {
          teams: teamsPart(comparison, design, isShareOfSown ? sharesOfSown(own, design.units) : own),
        }
      : {}),
  };
}

/** Values of plants, of which a rule says which one is read; a count of seeds or a cover is of the whole unit. */
function isOfPlants({ name }: ComparedVariable): boolean {
  return name !== 'seeds up' && name !== 'green cover';
}

/** Says what a sorting by one of several factors takes together. */
function overLevels(known: ComparisonFacts, { groupBy }: ComparisonQuery): string[] {
  const { factors } = known.design;
  if (factors.length < 2 || !groupBy?.startsWith('factor-')) return [];
  const others = factors.filter((_, at) => groupBy !== `factor-${at}`).map((factor) => factor.name);
  return [say('allLevelsOfAreTakenTogetherHere', { others: allOf(others) })];
}

/** The findings of one variable; empty when nobody reads it. */
function named(readings: readonly AnyReading[], variable: string): Map<string, UnitDay[]> {
  return unitDays(readings.filter((reading) => reading.variable === variable));
}

/** Readings as far as they say whether a pot is up: none of its seeds up is not up. */
function upOrNot(readings: readonly AnyReading[]): ReadingFact[] {
  return readings.map((reading) =>
    reading.variable === 'seeds up' && reading.value === 0
      ? { ...reading, state: 'not_emerged', value: null }
      : reading,
  );
}

/** Values of a plant as those of a whole pot of such plants. */
function perPot(readings: readonly ReadingFact[], design: Design): ReadingFact[] {
  const plants = new Map(design.treatments.map((treatment) => [treatment.id, treatment.plants]));
  const ofUnit = new Map(design.units.map((unit) => [unit.id, plants.get(unit.treatmentId) ?? 1]));
  return readings.map((reading) =>
    reading.value === null
      ? reading
      : { ...reading, value: reading.value * (ofUnit.get(reading.unitId) ?? 1) },
  );
}
