import 'reflect-metadata';
import { type ClassConstructor, plainToInstance } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import type { FieldProblem } from './errors.ts';
import { MOST_PROBLEMS, shapeProblems } from './shape.ts';

/** A request that passed its class, or the fields that did not. */
export type Checked<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly fields: FieldProblem[] };

/**
 * Checks plain data against its class: unknown properties are refused, text is trimmed. What can be counted is counted
 * before anything is built.
 */
export function check<T extends object>(type: ClassConstructor<T>, plain: unknown): Checked<T> {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain)) {
    return { ok: false, fields: [{ field: '', message: 'expected an object' }] };
  }
  const misshapen = shapeProblems(type, plain);
  if (misshapen.length > 0) return { ok: false, fields: misshapen };
  const value = plainToInstance(type, plain);
  const problems = validateSync(value, {
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
  });
  return problems.length === 0
    ? { ok: true, value }
    : { ok: false, fields: fieldProblems(problems).slice(0, MOST_PROBLEMS) };
}

/** Flattens nested problems to dotted field names. */
export function fieldProblems(errors: readonly ValidationError[], prefix = ''): FieldProblem[] {
  return errors.flatMap((error) => {
    const field = prefix + error.property;
    const [message] = Object.values(error.constraints ?? {});
    const own = message === undefined ? [] : [{ field, message: plainMessage(message, error.property) }];
    return [...own, ...fieldProblems(error.children ?? [], `${field}.`)];
  });
}

function plainMessage(message: string, property: string): string {
  const start = `${property}: `;
  return message.startsWith(start) ? message.slice(start.length) : message;
}
