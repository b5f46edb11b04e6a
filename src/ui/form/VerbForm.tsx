'use client';
import dayjs from 'dayjs';
import timezone from 'dayjs/plugin/timezone';
import utc from 'dayjs/plugin/utc';
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import NativeSelect from '@mui/material/NativeSelect';
import { useRouter } from 'next/navigation';
import { useId, useState, type ReactNode } from 'react';
import { Controller, useForm, type Control } from 'react-hook-form';
import { ORIGINS, type Origin } from '@/core/cutters';
import type { LengthUnit } from '@/core/units';
import type { ProblemDocument, Recorded } from '@/crib/door';
import type { VerbAnswer, VerbInput, VerbName } from '@/crib/verbs';
import { useSurroundings } from '../shell';
import { SearchField } from './SearchField';
import { SendButton } from './SendButton';
import { useSendOnce } from './useSendOnce';
import { problemOf, SEVERAL, toInput, type FieldOf, type FieldSpec, type SubForm } from './toInput';

dayjs.extend(utc);
dayjs.extend(timezone);

/** What a verb answered, and the entry it is kept under. */
type DoneOf<N extends VerbName> = VerbAnswer<N> & Recorded;
type VerbFormProps<N extends VerbName> = {
  verb: N;
  /** Input that is not asked for. */
  fixed?: Partial<VerbInput<N>> & { who?: string };
  submit: string;
  onDone?: (done: DoneOf<N>) => void;
  said?: (done: DoneOf<N>) => string;
  children?: ReactNode;
  /** Offers 'when it happened', for what is entered later. */
  when?: boolean;
} & (
  | { fields: readonly FieldOf<N>[]; shape?: undefined }
  /** Fields of its own, which `shape` makes the verb's input of before it is sent. */
  | { fields: readonly FieldSpec[]; shape: (input: Record<string, unknown>) => Record<string, unknown> }
);

/** Short enough for the narrow choice beside a figure. */
const ORIGIN_SHORT: Record<Origin, string> = {
  measured: 'measured',
  maker: 'maker',
  similar: 'similar',
  guess: 'guess',
};

type Texts = Record<string, string>;
/** Dots in names would nest inside react-hook-form; the form's own names are flat. */
const key = (name: string) => name.replaceAll('.', '__');

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
  when,
}: VerbFormProps<N>) {
  const { perform, say, zone, unit: shownUnit } = useSurroundings();
  // The unit is the one the form was opened in: swapping the display must not turn a typed 20 mm into 20 inches.
  const [unit] = useState(shownUnit);
  const router = useRouter();
  const { once, pending } = useSendOnce();
  const [problem, setProblem] = useState<ProblemDocument | null>(null);
  const [late, setLate] = useState(false);
  const [adding, setAdding] = useState<SubForm | null>(null);
  const all: FieldSpec[] = late
    ? [...fields, { name: 'happenedAt', label: 'When it happened', kind: 'moment', wide: true }]
    : [...fields];
  const starts: Texts = Object.fromEntries(fields.map((f) => [key(f.name), f.start ?? '']));
  const { control, handleSubmit, reset } = useForm<Texts>({ defaultValues: starts });

  const send = async (values: Texts) => {
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
      const input = { ...typed, formId };
      return perform(verb, shape ? shape(input) : input);
    });
    if (!answer) return;
    if (!answer.ok) return setProblem(answer.problem);
    setProblem(null);
    reset(starts);
    // The door answers in the verb's own words.
    const done = answer.done as Recorded as DoneOf<N>;
    say(said ? said(done) : 'done');
    onDone?.(done);
    router.refresh();
  };

  const parts = problem?.problems ?? [];
  const shownAtField = new Set(all.map((f) => problemOf(f.name, parts)).filter(Boolean));
  return (
    <>
      <form onSubmit={handleSubmit(send)} noValidate>
        <div className="fields">
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
        </div>
        {children}
        {problem && (
          <div className="ask stop" role="alert">
            <strong>{problem.detail}.</strong>{' '}
            {parts
              .filter((p) => !shownAtField.has(p.detail) && p.detail !== problem.detail)
              .map((p) => `${p.detail}. `)}
            {problem.way_out}
          </div>
        )}
        <div className="acts">
          <SendButton type="submit" variant="contained" pending={pending}>
            {pending ? 'Writing …' : submit}
          </SendButton>
          {when && !late && (
            <Button variant="text" onClick={() => setLate(true)}>
              not now, earlier
            </Button>
          )}
        </div>
      </form>
      {adding && (
        // Beside the form and not inside it: what was typed above stays while one more is added.
        <section className="ask" aria-label={adding.title}>
          <strong>{adding.title}: one more</strong>
          <VerbForm
            verb={adding.verb}
            fields={adding.fields}
            submit={adding.submit}
            said={() => `${adding.title}: one more to choose from`}
            onDone={() => setAdding(null)}
          />
        </section>
      )}
    </>
  );
}

function FormField({
  spec,
  control,
  wrong,
  unit,
  onAdd,
}: {
  spec: FieldSpec;
  control: Control<Texts>;
  wrong?: string;
  unit: LengthUnit;
  onAdd: (form: SubForm) => void;
}) {
  const id = useId();
  if (spec.kind === 'legend') return <div className="legend">{spec.label}</div>;
  const help = spec.help || wrong ? `${id}-help` : undefined;
  const figures = spec.kind === 'length' || spec.kind === 'number' || spec.kind === 'whole';
  return (
    <div className={spec.wide ? 'field wide' : 'field'}>
      <label htmlFor={spec.kind === 'several' ? undefined : id} id={`${id}-label`}>
        {spec.label}
        {spec.kind === 'length' ? `, ${unit === 'mm' ? 'mm' : 'in'}` : ''}
        {spec.optional ? ' (if known)' : ''}
      </label>
      <div className="pair">
        <Controller
          name={key(spec.name)}
          control={control}
          render={({ field: { ref, ...field } }) =>
            spec.kind === 'search' ? (
              <SearchField
                id={id}
                search={spec.search!}
                value={field.value ?? ''}
                onChange={field.onChange}
                onPick={spec.onPick}
                onBlur={field.onBlur}
                inputRef={ref}
                describedBy={help}
                wrong={!!wrong}
              />
            ) : spec.kind === 'several' ? (
              <Several id={id} spec={spec} value={field.value ?? ''} onChange={field.onChange} />
            ) : spec.kind === 'choice' ? (
              <NativeSelect
                id={id}
                inputRef={ref}
                {...field}
                value={field.value ?? ''}
                error={!!wrong}
                inputProps={{ 'aria-describedby': help, 'aria-invalid': !!wrong }}
                disableUnderline
              >
                <option value="">choose</option>
                {spec.options!.map(([value, words]) => (
                  <option key={value} value={value}>
                    {words}
                  </option>
                ))}
              </NativeSelect>
            ) : (
              <InputBase
                id={id}
                inputRef={ref}
                {...field}
                value={field.value ?? ''}
                error={!!wrong}
                type={spec.kind === 'day' ? 'date' : spec.kind === 'moment' ? 'datetime-local' : 'text'}
                inputProps={{
                  inputMode: spec.kind === 'whole' ? 'numeric' : figures ? 'decimal' : undefined,
                  className: figures ? 'fig' : undefined,
                  'aria-describedby': help,
                  'aria-invalid': !!wrong,
                  autoComplete: 'off',
                }}
              />
            )
          }
        />
        {spec.origin && (
          <Controller
            name={key(spec.origin)}
            control={control}
            defaultValue="maker"
            render={({ field: { ref, ...field } }) => (
              <NativeSelect
                inputRef={ref}
                {...field}
                value={field.value || 'maker'}
                inputProps={{ 'aria-label': `Origin of ${spec.label}` }}
                disableUnderline
                style={{ width: 112, flex: 'none' }}
              >
                {ORIGINS.map((o) => (
                  <option key={o} value={o}>
                    {ORIGIN_SHORT[o]}
                  </option>
                ))}
              </NativeSelect>
            )}
          />
        )}
      </div>
      {spec.add && (
        <Button variant="text" size="small" onClick={() => onAdd(spec.add!)}>
          one more: {spec.add.title.toLowerCase()}
        </Button>
      )}
      {wrong ? (
        <div className="wrong" id={help}>
          {wrong}
        </div>
      ) : spec.help ? (
        <div className="soft small" id={help}>
          {spec.help}
        </div>
      ) : null}
    </div>
  );
}

/** Several of a list, each ticked by itself. */
function Several({
  id,
  spec,
  value,
  onChange,
}: {
  id: string;
  spec: FieldSpec;
  value: string;
  onChange: (value: string) => void;
}) {
  const chosen = value === '' ? [] : value.split(SEVERAL);
  return (
    <div className="picks" role="group" aria-labelledby={`${id}-label`}>
      {spec.options!.map(([option, words]) => (
        <label key={option}>
          <input
            type="checkbox"
            checked={chosen.includes(option)}
            onChange={(e) =>
              onChange(
                (e.target.checked ? [...chosen, option] : chosen.filter((c) => c !== option)).join(SEVERAL),
              )
            }
          />{' '}
          {words}
        </label>
      ))}
    </div>
  );
}
