import 'reflect-metadata';
import { Type } from 'class-transformer';
import { IsArray, IsOptional, ValidateNested } from 'class-validator';
import type { WireClass } from './route.ts';

/** What stands in a property: a part of another class, or a list of such parts. */
export interface NestedShape {
  readonly type: () => WireClass<object>;
  readonly isList: boolean;
}

const SHAPES = new WeakMap<object, Map<string, NestedShape>>();

/** The nested parts of a class by property, those that it inherits too. */
export function nestedShapes(type: WireClass<object>): ReadonlyMap<string, NestedShape> {
  const shapes = new Map<string, NestedShape>();
  for (let at = type.prototype as object | null; at; at = Object.getPrototypeOf(at) as object | null) {
    for (const [name, shape] of SHAPES.get(at) ?? []) if (!shapes.has(name)) shapes.set(name, shape);
  }
  return shapes;
}

/** A part of another class of the wire. */
export function Nested(type: () => WireClass<object>): PropertyDecorator {
  return together(noted({ type, isList: false }), ValidateNested(), Type(type));
}

/** A list of parts of another class of the wire. */
export function NestedList(type: () => WireClass<object>): PropertyDecorator {
  return together(noted({ type, isList: true }), IsArray(), ValidateNested({ each: true }), Type(type));
}

/** A part that may be `null`. */
export function NestedOrNull(type: () => WireClass<object>): PropertyDecorator {
  return together(noted({ type, isList: false }), IsOptional(), ValidateNested(), Type(type));
}

function noted(shape: NestedShape): PropertyDecorator {
  return (target, name) => {
    const own = SHAPES.get(target) ?? new Map<string, NestedShape>();
    SHAPES.set(target, own.set(String(name), shape));
  };
}

/** Several decorators as one. */
export function together(...decorators: readonly PropertyDecorator[]): PropertyDecorator {
  return (target, name) => {
    for (const decorate of decorators) decorate(target, name);
  };
}
