import 'reflect-metadata';
import { Type } from 'class-transformer';
import { IsArray, IsBoolean, IsOptional, IsString, ValidateNested } from 'class-validator';
import type { UndefinedReason } from '@bright-sprout/core/shared';
import type { WireClass } from './route.ts';

/** A part of another class of the wire. */
export function Nested(type: () => WireClass<object>): PropertyDecorator {
  return together(ValidateNested(), Type(type));
}

/** A list of parts of another class of the wire. */
export function NestedList(type: () => WireClass<object>): PropertyDecorator {
  return together(IsArray(), ValidateNested({ each: true }), Type(type));
}

/** A part that may be `null`. */
export function NestedOrNull(type: () => WireClass<object>): PropertyDecorator {
  return together(IsOptional(), ValidateNested(), Type(type));
}

function together(...decorators: readonly PropertyDecorator[]): PropertyDecorator {
  return (target, name) => {
    for (const decorate of decorators) decorate(target, name);
  };
}

/** A figure that is defined, with its value added by each class, or the reason why it is not. */
export abstract class OutcomeBase {
  @IsBoolean()
  defined: boolean;

  @IsOptional()
  @IsString()
  reason?: UndefinedReason;
}
