import { lazy, Suspense, type ReactNode } from 'react';
import { Small } from '@/kit/text/Text';
import type { Input } from './inputs';

/** A form while it is filled in. */
export interface FormView<K extends string> {
  /** The input with this key, and what is wrong with it below. */
  draw: (key: K) => ReactNode;
  /** Checks, goes to the first field with something wrong, and hands the texts on when all is well: to `then`, or to `onSubmit`. */
  submit: (then?: (texts: Record<K, string>) => void) => void;
  /** As they stand; only with `follows`. */
  texts: Readonly<Record<K, string>>;
  write: (key: K, text: string) => void;
}
export interface FormProps<K extends string> {
  inputs: Readonly<Record<K, Input>>;
  /** The texts it begins with. */
  start: Readonly<Record<K, string>>;
  /** @returns a sentence by key for what is wrong; nothing when all is well */
  check: (texts: Record<K, string>) => Partial<Record<K, string>> | Promise<Partial<Record<K, string>>>;
  onSubmit: (texts: Record<K, string>) => void;
  /** Says what is wrong only once it is sent, not when a field is left. */
  late?: boolean;
  /** It is drawn anew at each key, so that what it draws beside the inputs can follow. */
  follows?: boolean;
  children: (form: FormView<K>) => ReactNode;
}

const Parts = lazy(() => import('./formParts').then(({ FormParts }) => ({ default: FormParts })));

/** A form of texts. What it takes is one part of the build, fetched when the first form is shown. */
export function Form<K extends string>(props: FormProps<K>) {
  return (
    <Suspense
      fallback={
        <Small padding={16} role="status">
          Opening …
        </Small>
      }
    >
      <Parts {...(props as unknown as FormProps<string>)} />
    </Suspense>
  );
}
