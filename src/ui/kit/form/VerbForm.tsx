'use client';
import Button from '@mui/material/Button';
import dayjs from 'dayjs';
import timezone from 'dayjs/plugin/timezone';
import utc from 'dayjs/plugin/utc';
import { useRouter } from 'next/navigation';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { type Control, useForm, useWatch } from 'react-hook-form';
import type { ProblemDocument } from '@/crib/door';
import type { VerbInput, VerbName } from '@/crib/verbs';
import { Fields } from '@/ui/kit/field';
import { Acts, Notice } from '@/ui/kit/page';
import { useBarred, useSurroundings, useUnsent } from '@/ui/shell';
import { FormField, key, type Texts } from './FormField';
import { asksSecond } from './ProblemNote';
import { type Second, SecondPerson } from './SecondPerson';
import { SendButton } from './SendButton';
import { inFormWords } from './inFormWords';
import { type FieldOf, type FieldSpec, problemOf, type SubForm, toInput, withUnit } from './toInput';
import { useSendOnce } from './useSendOnce';
import { answered, type DoneOf } from './useVerb';

dayjs.extend(utc);
dayjs.extend(timezone);

type VerbFormProps<N extends VerbName> = {
  verb: N;
  /** Input that is not asked for. */
  fixed?: Partial<VerbInput<N>> & { who?: string; note?: string };
  submit: string;
  onDone?: (done: DoneOf<N>) => void;
  said?: (done: DoneOf<N>) => string;
  children?: ReactNode;
  /** What follows from what stands in the fields, shown below them as it is typed. */
  below?: (texts: Readonly<Record<string, string | undefined>>) => ReactNode;
  /** Fields filled from beside the form, as if they were typed: each new object once. */
  put?: Readonly<Record<string, string>> | null;
  /** Its first field is what somebody came for: the keyboard begins there. */
  begin?: boolean;
  /** Offers 'when it happened', for what is entered later. */
  when?: boolean;
} & (
  | { fields: readonly FieldOf<N>[]; shape?: undefined }
  /** Fields of its own, which `shape` makes the verb's input of before it is sent. */
  | { fields: readonly FieldSpec[]; shape: (input: Record<string, unknown>) => Record<string, unknown> }
);

/** Drawn anew as somebody types, without the form. */
function Below({
  control,
  names,
  of,
}: {
  control: Control<Texts>;
  names: readonly string[];
  of: (texts: Readonly<Record<string, string | undefined>>) => ReactNode;
}) {
  const texts = useWatch({ control });
  return of(Object.fromEntries(names.map((name) => [name, texts[key(name)]])));
}

/** A form for one verb: texts stay as typed, problems stand at their field, a pending button keeps its focus. */
export function VerbForm<N extends VerbName>({
  verb,
  fields,
  fixed,
  submit,
  shape,
  onDone,
  said,
  children,
  below,
  put,
  begin,
  when,
}: VerbFormProps<N>) {
  const { perform, say, zone, unit } = useSurroundings();
  const whoMay = useBarred(verb);
  /** The unit in which what stands in the fields was typed. */
  const typedIn = useRef(unit);
  const router = useRouter();
  const { once, pending } = useSendOnce();
  const [problem, setProblem] = useState<ProblemDocument | null>(null);
  const [late, setLate] = useState(false);
  const [adding, setAdding] = useState<SubForm | null>(null);
  const all: FieldSpec[] = late
    ? [...fields, { name: 'happenedAt', label: 'When it happened', kind: 'moment', wide: true }]
    : [...fields];
  const starts: Texts = Object.fromEntries(
    fields.flatMap((f) => [
      [key(f.name), f.start ?? ''],
      ...(f.origin && f.originStart ? [[key(f.origin), f.originStart]] : []),
    ]),
  );
  const { control, handleSubmit, reset, getValues, setValue, setFocus, formState } = useForm<Texts>({
    defaultValues: starts,
  });
  useUnsent(formState.isDirty);
  const { isDirty } = formState;
  /** What the fields began with, to see where the page has another by now. */
  const began = useRef(JSON.stringify(starts));
  useEffect(() => {
    const now = JSON.stringify(starts);
    if (now === began.current || isDirty) return;
    // Nobody typed: what stands anew is shown. What was typed stays, whatever stands by now.
    began.current = now;
    reset(starts);
  });
  useEffect(() => {
    for (const [name, text] of Object.entries(put ?? {})) setValue(key(name), text, { shouldDirty: true });
  }, [put, setValue]);
  const first = begin ? fields.find((f) => f.kind !== 'legend') : undefined;
  const firstField = first ? key(first.name) : null;
  useEffect(() => {
    if (firstField !== null) setFocus(firstField);
  }, [firstField, setFocus]);
  useEffect(() => {
    const before = typedIn.current;
    if (before === unit) return;
    typedIn.current = unit;
    // Swapping the display must not turn a typed 20 mm into 20 inches: what was typed keeps its unit, and says it.
    for (const f of fields)
      if (f.kind === 'length') {
        const said = withUnit(getValues(key(f.name)) ?? '', before);
        if (said !== null) setValue(key(f.name), said, { shouldDirty: true });
      }
  }, [unit, fields, getValues, setValue]);

  const send = async (values: Texts, second?: Second) => {
    const texts = Object.fromEntries(
      all.flatMap((f) => [
        [f.name, values[key(f.name)]],
        ...(f.origin ? [[f.origin, values[key(f.origin)]]] : []),
      ]),
    );
    let typed: Record<string, unknown> = { ...toInput(all, texts, unit), ...fixed };
    if (late && texts.happenedAt)
      typed = { ...typed, happenedAt: dayjs.tz(texts.happenedAt, zone).toISOString() };
    const answer = await once((formId) => {
      const input = { ...typed, formId, ...(second ? { second } : {}) };
      return perform(verb, shape ? shape(input) : input);
    });
    if (!answer) return;
    if (!answer.ok) {
      // It is no longer as this page shows it: what was typed stays, what it was typed beside is read anew.
      if (answer.problem.code === 'CONFLICT') router.refresh();
      return setProblem(answer.problem);
    }
    setProblem(null);
    reset(starts);
    const done = answered<N>(answer.done);
    say(said ? said(done) : 'done');
    onDone?.(done);
    router.refresh();
  };

  const inWords = problem && inFormWords(problem, all);
  const parts = inWords?.problems ?? [];
  const shownAtField = new Set(all.map((f) => problemOf(f.name, parts)).filter(Boolean));
  return (
    <>
      <form onSubmit={handleSubmit((values) => send(values))} noValidate>
        <Fields>
          {all.map((f) => (
            <FormField
              key={f.name}
              spec={f}
              control={control}
              wrong={problemOf(f.name, parts)}
              unit={unit}
              onAdd={setAdding}
            />
          ))}
        </Fields>
        {children}
        {below && <Below control={control} names={all.map((f) => f.name)} of={below} />}
        {inWords && (
          <Notice kind="stop" now>
            <strong>{inWords.detail}.</strong>{' '}
            {parts
              .filter((p) => !shownAtField.has(p.detail) && p.detail !== inWords.detail)
              .map((p) => `${p.detail}. `)}
            {inWords.way_out}
            {problem && asksSecond(problem) && (
              <SecondPerson onGiven={(second) => void handleSubmit((values) => send(values, second))()} />
            )}
          </Notice>
        )}
        <Acts>
          <SendButton type="submit" variant="contained" pending={pending} barred={whoMay}>
            {pending ? 'Writing …' : submit}
          </SendButton>
          {when && !late && (
            <Button variant="text" onClick={() => setLate(true)}>
              not now, earlier
            </Button>
          )}
        </Acts>
      </form>
      {adding && (
        // Beside the form and not inside it: what was typed above stays while one more is added.
        <Notice label={adding.title}>
          <strong>{adding.title}: one more</strong>
          <VerbForm
            verb={adding.verb}
            fields={adding.fields}
            submit={adding.submit}
            said={() => `${adding.title}: one more to choose from`}
            onDone={() => setAdding(null)}
          />
        </Notice>
      )}
    </>
  );
}
