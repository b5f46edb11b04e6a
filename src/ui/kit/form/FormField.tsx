'use client';
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import NativeSelect from '@mui/material/NativeSelect';
import dynamic from 'next/dynamic';
import { useId } from 'react';
import { type Control, Controller } from 'react-hook-form';
import { type Origin, ORIGINS } from '@/core/cutters';
import { sure } from '@/core/sure';
import type { LengthUnit } from '@/core/units';
import { Field, Legend, PickSome, Together, Wrong } from '@/ui/kit/field';
import { SearchField } from './SearchField';
import { type FieldSpec, SEVERAL, type SubForm } from './toInput';

/** Short enough for the narrow choice beside a figure. */
const ORIGIN_SHORT: Record<Origin, string> = {
  measured: 'measured',
  maker: 'maker',
  similar: 'similar',
  guess: 'guess',
};

/** Only forms that ask for a day bring the calendar. */
const DayField = dynamic(() => import('./DayField'), {
  ssr: false,
  loading: () => <div style={{ minHeight: 38 }} />,
});

export type Texts = Record<string, string>;
/** Dots in names would nest inside react-hook-form; the form's own names are flat. */
export const key = (name: string) => name.replaceAll('.', '__');

export function FormField({
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
  if (spec.kind === 'legend') return <Legend>{spec.label}</Legend>;
  const { add, options = [] } = spec;
  const help = spec.help || wrong ? `${id}-help` : undefined;
  const figures = ['length', 'number', 'whole', 'money'].includes(spec.kind ?? 'text');
  return (
    <Field wide={spec.wide}>
      <label htmlFor={spec.kind === 'several' ? undefined : id} id={`${id}-label`}>
        {spec.label}
        {spec.kind === 'length' ? `, ${unit === 'mm' ? 'mm' : 'in'}` : ''}
        {spec.optional ? ' (if known)' : ''}
      </label>
      <Together>
        <Controller
          name={key(spec.name)}
          control={control}
          render={({ field: { ref, ...field } }) =>
            spec.kind === 'search' ? (
              <SearchField
                id={id}
                search={sure(spec.search, `what ${spec.name} is searched in`)}
                start={spec.start ? { value: spec.start, title: spec.start, words: '' } : null}
                value={field.value ?? ''}
                onChange={field.onChange}
                onPick={spec.onPick}
                onBlur={field.onBlur}
                inputRef={ref}
                describedBy={help}
                wrong={!!wrong}
              />
            ) : spec.kind === 'several' ? (
              <PickSome
                labelledBy={`${id}-label`}
                options={options}
                value={field.value ? field.value.split(SEVERAL) : []}
                onChange={(chosen) => field.onChange(chosen.join(SEVERAL))}
              />
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
                {options.map(([value, words]) => (
                  <option key={value} value={value}>
                    {words}
                  </option>
                ))}
              </NativeSelect>
            ) : spec.kind === 'day' || spec.kind === 'moment' ? (
              <DayField
                id={id}
                moment={spec.kind === 'moment'}
                value={field.value ?? ''}
                wrong={!!wrong}
                describedBy={help}
                onChange={field.onChange}
              />
            ) : (
              <InputBase
                id={id}
                inputRef={ref}
                {...field}
                value={field.value ?? ''}
                error={!!wrong}
                // One line would drop the ends of the others.
                multiline={spec.kind === 'lines'}
                minRows={spec.kind === 'lines' ? 3 : undefined}
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
      </Together>
      {add && (
        <Button variant="text" size="small" onClick={() => onAdd(add)}>
          one more: {add.title.toLowerCase()}
        </Button>
      )}
      {wrong ? (
        <Wrong id={help}>{wrong}</Wrong>
      ) : spec.help ? (
        <div className="soft small" id={help}>
          {spec.help}
        </div>
      ) : null}
    </Field>
  );
}
