import { Controller, useForm, type Resolver } from 'react-hook-form';
import type { FormProps } from './Form';
import { OneInput } from './inputs';

type Texts = Record<string, string>;

/** The inside of `Form`. */
export function FormParts({
  inputs,
  start,
  check,
  onSubmit,
  follows = false,
  late = false,
  children,
}: FormProps<string>) {
  const resolver: Resolver<Texts> = async (texts) => {
    const found = Object.entries(await check(texts));
    const errors = Object.fromEntries(
      found.flatMap(([key, message]) => (message ? [[key, { type: 'read', message }]] : [])),
    );
    return Object.keys(errors).length > 0 ? { values: {}, errors } : { values: texts, errors: {} };
  };
  const { control, handleSubmit, setValue, watch, getValues, formState } = useForm<Texts>({
    resolver,
    mode: late ? 'onSubmit' : 'onTouched',
    defaultValues: start,
  });
  const submit = (then: (texts: Texts) => void = onSubmit): void => void handleSubmit((texts) => then(texts))();
  return children({
    draw: (key) => (
      <Controller
        key={key}
        control={control}
        name={key}
        render={({ field, fieldState }) => (
          <OneInput {...field} input={inputs[key]!} problem={fieldState.error?.message} onSubmit={() => submit()} />
        )}
      />
    ),
    submit,
    texts: follows ? watch() : getValues(),
    write: (key, text) => setValue(key, text, { shouldValidate: formState.isSubmitted }),
  });
}
