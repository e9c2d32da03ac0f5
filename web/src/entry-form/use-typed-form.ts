import { useForm, type DefaultValues, type FieldErrors, type FieldValues } from 'react-hook-form';
import { useDraft } from '../api/draft';
import { useSaving } from '../parts/use-saving';

/** What is wrong with what was typed: by the name of its field, or `root` for the whole. */
export type Problems<Typed> = Partial<Record<(keyof Typed & string) | 'root', string>>;

/** A form as a screen shows it. */
export interface TypedForm<Typed> {
  /** as it stands: what was typed, as it was typed */
  typed: Typed;
  /** changes what is typed of some fields; the problems that were found go with it */
  type: (some: Partial<Typed>) => void;
  problems: Problems<Typed>;
  saving: boolean;
  /** sends what is typed, or shows what is wrong with it */
  submit: () => void;
  /** the same, where something is asked before it is sent */
  submitThrough: (guard: (send: () => void) => void) => void;
  /** as it stood before anything was typed */
  clear: () => void;
}

/**
 * A form that is typed, kept, read and sent once. What is typed stays as it was typed, through another stage, Back, a reload and a
 * sign-out, until it has been sent.
 * @param draft what it is typed for: the same name finds the same text
 * @param empty how it stands before anything is typed
 * @param read what is sent, or what is wrong with what was typed
 * @param send sends it; the draft goes when it has been taken
 */
export function useTypedForm<Typed extends FieldValues, Sent>({
  draft: name,
  empty,
  read,
  send,
}: {
  draft: string;
  empty: Typed;
  read: (typed: Typed) => { sent: Sent } | { problems: Problems<Typed> };
  send: (sent: Sent) => Promise<unknown>;
}): TypedForm<Typed> {
  const [typed, setTyped] = useDraft<Typed>(name, empty);
  const [saving, save] = useSaving();
  const { formState, handleSubmit, clearErrors } = useForm<Typed, unknown, { sent: Sent }>({
    values: typed,
    defaultValues: typed as DefaultValues<Typed>,
    resolver: (values) => {
      const found = read(values);
      return 'sent' in found
        ? { values: found, errors: {} }
        : { values: {}, errors: errorsOf(found.problems) as FieldErrors<Typed> };
    },
  });
  const submitThrough: TypedForm<Typed>['submitThrough'] = (guard) =>
    void handleSubmit(({ sent }) => guard(() => void save(() => send(sent).then(() => setTyped(empty)))))();
  return {
    typed,
    type: (some) => {
      clearErrors();
      setTyped({ ...typed, ...some });
    },
    problems: problemsOf(formState.errors),
    saving,
    submit: () => submitThrough((go) => go()),
    submitThrough,
    clear: () => setTyped(empty),
  };
}

const errorsOf = (problems: Readonly<Record<string, string | undefined>>) =>
  Object.fromEntries(
    Object.entries(problems).flatMap(([field, message]) =>
      message === undefined ? [] : [[field, { type: 'typed', message }]],
    ),
  );

const problemsOf = <Typed extends FieldValues>(errors: FieldErrors<Typed>): Problems<Typed> =>
  Object.fromEntries(
    Object.entries(errors).flatMap(([field, error]) =>
      error && typeof error.message === 'string' ? [[field, error.message]] : [],
    ),
  ) as Problems<Typed>;
