import { toJsonSchema } from '@valibot/to-json-schema';
import type * as v from 'valibot';
import { lettersAllowed } from './schema.ts';

/**
 * What a schema takes, as JSON Schema (draft-07). A schema that is chosen by what it reads is written as the one that describes
 * it, in its place.
 */
export function jsonSchemaOf(schema: v.GenericSchema): Record<string, unknown> & {
  properties?: Record<string, unknown>;
} {
  const { $defs: _, ...written } = toJsonSchema(schema as never, {
    typeMode: 'input',
    errorMode: 'ignore',
    overrideSchema: ({ valibotSchema, jsonSchema, definitions }) =>
      valibotSchema.type === 'lazy' ? definitions[jsonSchema.$ref!.slice('#/$defs/'.length)] : undefined,
    overrideAction: ({ valibotAction, jsonSchema }) => {
      const max = lettersAllowed(valibotAction);
      return max === undefined ? undefined : { ...jsonSchema, maxLength: max };
    },
  });
  return written as never;
}
