'use client';
/**
 * A form that gives one command. Its values are checked by the command's own schema, which is only fetched when the
 * form is first sent; what is wrong stands beside its field, and nothing that was typed is lost.
 */
import { type ReactNode, useId } from 'react';
import {
  type DefaultValues,
  FormProvider,
  type Path,
  useForm,
  useFormContext,
  type UseFormReturn,
} from 'react-hook-form';
import Input, { type InputProps } from '@mui/material/Input';
import type { Asked, CommandName } from '@/contract/commands';
import { type Issue, issue } from '@/core/issue';
import styles from './fields.module.css';
import { FractionText } from './figures';
import { Trouble } from './trouble';
import { useUnit } from './units';
import { type Command, useCommand } from './use-command';
import { useHydrated } from './use-hydrated';

type Values = Record<string, string | number | boolean | undefined>;

export interface FormOf<V extends Values> {
  readonly form: UseFormReturn<V>;
  readonly busy: boolean;
  /** What belongs to no field. */
  readonly issues: readonly Issue[];
  readonly submit: () => Promise<void>;
}
type Read<N extends CommandName> = Asked<N> | { readonly wrong: readonly Issue[] };
interface Options<N extends CommandName, V extends Values, R> {
  readonly values: V;
  /** What the values say as the command's payload, or what in them cannot be read. */
  readonly payload: (values: V) => Read<N> | Promise<Read<N>>;
  readonly onDone: (result: R, values: V) => void;
  /** The field of a key or path of the payload, where it is called otherwise. */
  readonly fieldOf?: Readonly<Record<string, string>>;
}

const isWrong = (read: object): read is { readonly wrong: readonly Issue[] } => 'wrong' in read;

/** What the command's schema says of a payload. */
async function checked(name: CommandName, payload: unknown): Promise<readonly Issue[]> {
  const { commandOf } = await import('@/contract/commands');
  const result = commandOf(name).payload.safeParse(payload);
  return result.success
    ? []
    : result.error.issues.map(({ path, message }) => issue('input-wrong', { reason: message }, path.join('.')));
}

export function useCommandForm<N extends CommandName, V extends Values, R = Record<string, never>>(
  name: N,
  { values, payload, onDone, fieldOf = {} }: Options<N, V, R>,
): FormOf<V> {
  const { unit } = useUnit();
  const command: Command<N, R> = useCommand<N, R>(name);
  const form = useForm<V>({ defaultValues: values as DefaultValues<V>, shouldFocusError: true });
  /** The field that a path of the payload belongs to; a path below a key of `fieldOf` belongs to its field. */
  const fieldNamed = (path: string): string => {
    const key = Object.keys(fieldOf).find((begin) => path === begin || path.startsWith(`${begin}.`));
    return key === undefined ? path.split('.')[0]! : fieldOf[key]!;
  };
  const beside = async (issues: readonly Issue[]) => {
    const { sayIssue } = await import('@/words/issues');
    const rest: Issue[] = [];
    for (const one of issues) {
      const field = fieldNamed(one.path ?? '') as Path<V>;
      if (field in form.getValues()) form.setError(field, { type: one.code, message: sayIssue(one, unit) });
      else rest.push(one);
    }
    command.setIssues(rest);
  };
  const submit = form.handleSubmit(async (given) => {
    const read = await payload(given);
    if (isWrong(read)) return beside(read.wrong);
    const wrong = await checked(name, read);
    if (wrong.length > 0) return beside(wrong);
    const answer = await command.run(read);
    if (answer.ok) onDone(answer.value, given);
    else beside(answer.issues);
  });
  return { form, busy: command.busy, issues: command.issues, submit };
}

interface FormProps<V extends Values> {
  readonly of: FormOf<V>;
  readonly className?: string | undefined;
  readonly label?: string;
  readonly children: ReactNode;
}

export function Form<V extends Values>({ of: { form, issues, submit }, className, label, children }: FormProps<V>) {
  return (
    <FormProvider {...form}>
      <form
        noValidate
        className={className}
        aria-label={label}
        onSubmit={(event) => {
          event.preventDefault();
          void submit();
        }}
      >
        {children}
        <Trouble issues={issues} />
      </form>
    </FormProvider>
  );
}

interface FieldProps {
  readonly name: string;
  readonly label: ReactNode;
  readonly hint?: ReactNode;
  readonly type?: 'text' | 'password' | 'date';
  readonly first?: boolean;
  readonly most?: number;
  readonly rows?: number;
  readonly placeholder?: string;
  readonly end?: ReactNode;
  readonly input?: NonNullable<InputProps['inputProps']>;
  readonly hidesLabel?: boolean;
}

/** A field of a form: its label, what is wrong or what helps below it, told to screen readers as well. */
export function Field({
  name,
  label,
  hint,
  type = 'text',
  first,
  most,
  rows,
  placeholder,
  end,
  input,
  hidesLabel,
}: FieldProps) {
  const { register, formState, clearErrors } = useFormContext();
  const id = useId();
  const error = formState.errors[name];
  const said = error?.message === undefined ? undefined : String(error.message);
  const { ref, onChange, ...registered } = register(name);
  return (
    <div className={styles.field}>
      <label htmlFor={id} className={hidesLabel ? 'sr' : undefined}>
        {label}
      </label>
      <Input
        id={id}
        {...registered}
        inputRef={ref}
        type={type}
        fullWidth
        multiline={rows !== undefined}
        rows={rows ?? 1}
        autoFocus={first ?? false}
        placeholder={placeholder ?? ''}
        error={said !== undefined}
        endAdornment={end}
        autoComplete="off"
        readOnly={!useHydrated()}
        onChange={(event) => {
          if (said !== undefined) clearErrors(name);
          return onChange(event);
        }}
        slotProps={{
          input: {
            ...input,
            ...(most === undefined ? {} : { maxLength: most }),
            'aria-invalid': said !== undefined,
            'aria-describedby': `${id}-says`,
          },
        }}
      />
      <div id={`${id}-says`} className={said ? styles.wrong : styles.hint} role={said ? 'alert' : undefined}>
        {said ? <FractionText text={said} /> : hint}
      </div>
    </div>
  );
}
