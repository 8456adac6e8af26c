import {
  type FieldMetadata,
  getFormProps,
  getInputProps,
  parse,
  type Submission,
  useForm,
} from '@conform-to/react';
import { parseWithValibot } from '@conform-to/valibot';
import TextField, { type TextFieldProps } from '@mui/material/TextField';
import type * as v from 'valibot';

type Fields = Record<string, string>;

/** What a form is checked by: a schema, or a reading that says what is wrong with which field. */
type Rules<Value> =
  | v.GenericSchema<Record<string, unknown>, Value>
  | ((fields: Fields) => { value: Value } | { problems: readonly { field: string; reason: string }[] });

const read = <Value,>(data: FormData, rules: Rules<Value>): Submission<Value, string[]> =>
  typeof rules === 'function'
    ? (parse(data, {
        resolve(fields) {
          const found = rules(fields as Fields);
          if ('value' in found) return { value: found.value };
          const error: Record<string, string[]> = {};
          for (const { field, reason } of found.problems) error[field] = [...(error[field] ?? []), reason];
          return { error };
        },
      }) as Submission<Value, string[]>)
    : (parseWithValibot(data, { schema: rules as never, disableAutoCoercion: true }) as Submission<
        Value,
        string[]
      >);

/**
 * A form whose fields are checked when they are left, and again with every letter once something was wrong; it is sent only when
 * all is right.
 * @param onSend takes what was read; without it, the form goes where forms go
 */
export function useCheckedForm<Value>(rules: Rules<Value>, onSend?: (value: Value) => void) {
  const [form, fields] = useForm<Fields>({
    shouldValidate: 'onBlur',
    shouldRevalidate: 'onInput',
    onValidate: ({ formData }) => read(formData, rules) as never,
    ...(onSend
      ? {
          onSubmit(event: React.FormEvent<HTMLFormElement>, { submission }: { submission?: unknown }) {
            event.preventDefault();
            const sent = submission as Submission<Value> | undefined;
            if (sent?.status === 'success') onSend(sent.value);
          },
        }
      : {}),
  });
  return { form: getFormProps(form), fields, reset: () => form.reset() };
}

/** A text field of a checked form, with what is wrong with it below. */
export function FormField({
  field,
  type = 'text',
  helperText,
  slotProps,
  ...more
}: { field: FieldMetadata<string>; type?: 'text' | 'email' | 'password' } & Omit<
  TextFieldProps,
  'name' | 'id' | 'error' | 'type' | 'defaultValue' | 'value' | 'onChange'
>) {
  const { key, id, name, defaultValue } = getInputProps(field, { type });
  const [problem] = field.errors ?? [];
  return (
    <TextField
      key={key}
      id={id}
      name={name}
      type={type}
      defaultValue={defaultValue ?? ''}
      error={problem !== undefined}
      helperText={problem ?? helperText}
      {...(slotProps ? { slotProps } : {})}
      {...more}
    />
  );
}
