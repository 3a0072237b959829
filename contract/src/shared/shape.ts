import { getMetadataStorage } from 'class-validator';
import type { FieldProblem } from './errors.ts';
import { nestedShapes, type NestedShape } from './nested.ts';
import type { WireClass } from './route.ts';

/** The most problems that are told of one request. */
export const MOST_PROBLEMS = 50;

const MOST_NAME_SHOWN = 40;
const LONE_SURROGATE = /\p{Surrogate}/u;

/** What a property of a class may hold, as far as it can be seen before an instance is made. */
interface PropertyShape {
  readonly isOptional: boolean;
  /** The longest list; a property that is no list has none. */
  readonly mostItems: number;
  readonly tooMany: string;
  /** The most code points of a text. */
  readonly mostText: number;
  readonly tooLong: string;
  readonly nested: NestedShape | undefined;
}

const CLASSES = new WeakMap<object, ReadonlyMap<string, PropertyShape>>();

/**
 * Problems of plain data that can be told by counting alone, before anything is built from it: unknown names, missing
 * parts, things of another kind, lists and texts that are too long, text that is no Unicode. Data without such problems
 * is safe to transform: it is as deep as its class and as long as its class allows.
 */
export function shapeProblems(type: WireClass<object>, plain: object): FieldProblem[] {
  const problems: FieldProblem[] = [];
  walk(type, plain, '', problems);
  return problems;
}

function walk(type: WireClass<object>, plain: object, prefix: string, problems: FieldProblem[]): void {
  const shapes = shapesOf(type);
  const known = plain as Readonly<Record<string, unknown>>;
  for (const name of Object.keys(plain)) {
    if (problems.length >= MOST_PROBLEMS) return;
    if (!shapes.has(name))
      problems.push({ field: prefix + shortened(name), message: 'This is not known here.' });
  }
  for (const [name, shape] of shapes) {
    if (problems.length >= MOST_PROBLEMS) return;
    const value = Object.hasOwn(known, name) ? known[name] : undefined;
    walkProperty(value, shape, prefix + name, problems);
  }
}

function walkProperty(value: unknown, shape: PropertyShape, field: string, problems: FieldProblem[]): void {
  const { nested } = shape;
  if (value === undefined || value === null) {
    if (nested && !shape.isOptional) problems.push({ field, message: 'This part is missing.' });
    return;
  }
  if (Array.isArray(value)) {
    if (nested && !nested.isList) problems.push({ field, message: 'A list is not expected here.' });
    else walkList(value, shape, field, problems);
  } else if (nested) {
    if (nested.isList) problems.push({ field, message: 'A list is expected here.' });
    else if (typeof value === 'object') walk(nested.type(), value, `${field}.`, problems);
    else problems.push({ field, message: 'A part with fields of its own is expected here.' });
  } else checkPlain(value, shape, field, problems);
}

function walkList(
  list: readonly unknown[],
  shape: PropertyShape,
  field: string,
  problems: FieldProblem[],
): void {
  if (list.length > shape.mostItems) {
    problems.push({ field, message: shape.tooMany || `At most ${shape.mostItems} entries.` });
    return;
  }
  for (const [index, item] of list.entries()) {
    if (problems.length >= MOST_PROBLEMS) return;
    const at = `${field}.${index}`;
    if (!shape.nested) checkPlain(item, shape, field, problems);
    else if (typeof item === 'object' && item !== null && !Array.isArray(item)) {
      walk(shape.nested.type(), item, `${at}.`, problems);
    } else problems.push({ field: at, message: 'A part with fields of its own is expected here.' });
  }
}

function checkPlain(value: unknown, shape: PropertyShape, field: string, problems: FieldProblem[]): void {
  if (typeof value === 'object') problems.push({ field, message: 'A plain value is expected here.' });
  if (typeof value !== 'string') return;
  if (LONE_SURROGATE.test(value))
    problems.push({ field, message: 'This holds half a character. Type it again.' });
  if (value.length > shape.mostText && codePoints(value) > shape.mostText) {
    problems.push({ field, message: shape.tooLong || `Keep it to ${shape.mostText} characters.` });
  }
}

function codePoints(text: string): number {
  let count = 0;
  for (let at = 0; at < text.length; at += (text.codePointAt(at) ?? 0) > 0xffff ? 2 : 1) count += 1;
  return count;
}

function shortened(name: string): string {
  const shown = name.replaceAll(/\p{Surrogate}/gu, '');
  return shown.length <= MOST_NAME_SHOWN ? shown : `${shown.slice(0, MOST_NAME_SHOWN)}…`;
}

function shapesOf(type: WireClass<object>): ReadonlyMap<string, PropertyShape> {
  const known = CLASSES.get(type);
  if (known) return known;
  const nested = nestedShapes(type);
  const shapes = new Map<string, PropertyShape>();
  const rules = getMetadataStorage().getTargetValidationMetadatas(type, '', false, false);
  for (const name of new Set(rules.map((rule) => rule.propertyName))) {
    const own = rules.filter((rule) => rule.propertyName === name);
    const limit = (ruleName: string, at: number): number => {
      const found = own.find((rule) => rule.name === ruleName);
      const value: unknown = found?.constraints[at];
      return typeof value === 'number' ? value : Infinity;
    };
    const words = (...ruleNames: readonly string[]): string => {
      const message = own.find((rule) => ruleNames.includes(rule.name ?? ''))?.message;
      return typeof message === 'string' ? message : '';
    };
    shapes.set(name, {
      isOptional: own.some((rule) => rule.type === 'conditionalValidation'),
      mostItems: limit('arrayMaxSize', 0),
      mostText: Math.min(limit('maxLength', 0), limit('isLength', 1)),
      tooMany: words('arrayMaxSize'),
      tooLong: words('maxLength', 'isLength'),
      nested: nested.get(name),
    });
  }
  CLASSES.set(type, shapes);
  return shapes;
}
