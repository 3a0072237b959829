import 'reflect-metadata';
import '@bright-sprout/contract/routes';
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';

type Json = Record<string, unknown>;

/** A property of a request with what JSON Schema says elsewhere: that it may be `null`, and which state it goes with. */
interface NotedProperty extends Json {
  mayBeNull?: true;
  onlyWith?: readonly [field: string, value: string];
}

/** Makes the schemas of all requests from the checks of their classes. */
export function makeRequestSchemas(): Record<string, Json> {
  const made = validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage as never,
    refPointerPrefix: '#/components/schemas/',
    additionalConverters: {
      conditionalValidation: { mayBeNull: true } as never,
      isCalendarDay: { type: 'string', format: 'date' },
      isId: { type: 'string', format: 'uuid' },
      isInstant: { type: 'string', format: 'date-time' },
      isZone: { type: 'string', description: 'IANA time zone' },
      isOnlyWith: ({ constraints }) => ({ onlyWith: constraints }) as never,
    },
  }) as unknown as Record<string, { properties: Record<string, NotedProperty> }>;
  return Object.fromEntries(Object.entries(made).map(([name, schema]) => [name, requestSchema(schema)]));
}

function requestSchema({ properties, ...schema }: { properties: Record<string, NotedProperty> }): Json {
  const exclusions = Object.entries(properties).flatMap(([name, { onlyWith }]) =>
    onlyWith ? [exclusion(name, onlyWith)] : [],
  );
  return {
    ...schema,
    properties: Object.fromEntries(
      Object.entries(properties).map(([name, noted]) => [name, plainProperty(noted)]),
    ),
    additionalProperties: false,
    ...(exclusions.length > 0 ? { allOf: exclusions } : {}),
  };
}

function plainProperty(noted: NotedProperty): Json {
  const property = { ...noted };
  delete property.mayBeNull;
  delete property.onlyWith;
  return noted.mayBeNull ? { anyOf: [property, { type: 'null' }] } : property;
}

function exclusion(name: string, [field, value]: readonly [string, string]): Json {
  return {
    oneOf: [
      { properties: { [field]: { const: value } } },
      { properties: { [field]: { not: { const: value } }, [name]: { type: 'null' } } },
    ],
  };
}
