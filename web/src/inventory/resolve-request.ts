import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import type { FieldValues, Resolver } from 'react-hook-form';

type Options<Values extends FieldValues> = Parameters<Resolver<Values>>[2];

/** Checks a form whose empty fields are `null` by the class of the request that is made of it. */
export function resolveRequest<Values extends FieldValues, Request extends FieldValues>(
  schema: new () => Request,
  requestOf: (values: Values) => Request,
): Resolver<Values> {
  const check: Resolver<Request> = classValidatorResolver(schema);
  return async (values, context, options) => {
    const { errors } = await check(requestOf(values), context, options as unknown as Options<Request>);
    return Object.keys(errors).length === 0
      ? { values, errors: {} }
      : { values: {}, errors: errors as Awaited<ReturnType<Resolver<Values>>>['errors'] };
  };
}
