'use client';
import { useState } from 'react';
import { type Control, Controller, type UseFormRegister, useWatch } from 'react-hook-form';
import { edgesLeftWords } from '@/core/stock';
import type { AssemblyView } from '@/crib/rack';
import { Entry, Field, Fields, PickSome } from '@/ui/kit/field';
import { SearchField } from '@/ui/kit/form';
import { type FoundSource, inserts, parcelOf, takeables } from '@/ui/screens/common/found';
import { type EndTexts, FOR_A_THUMB } from './Broke';

interface Props {
  control: Control<EndTexts>;
  register: UseFormRegister<EndTexts>;
}

const Stickout = ({ register }: Pick<Props, 'register'>) => (
  <Field>
    <label htmlFor="stickout">Stickout</label>
    <Entry id="stickout" className="fig" style={FOR_A_THUMB} {...register('stickout')} />
  </Field>
);

/** Another cutter into the same holder. */
export function NextCutter({
  control,
  register,
  card,
  first,
}: Props & {
  /** What ended: what is like its cutter stands first. */
  card: Pick<AssemblyView, 'cutter' | 'life'> & Partial<Pick<AssemblyView, 'turns'>>;
  first: FoundSource | null;
}) {
  const { material } = card.life;
  const [search] = useState(() =>
    takeables('cutter', { like: card.cutter.code, ...(material === null ? {} : { material }) }),
  );
  const next = useWatch({ control, name: 'next' });
  const said = first?.caution && next === first.value ? first.caution : null;
  return (
    <Fields style={{ marginTop: 10 }}>
      <Field>
        <label htmlFor="next">Cutter from</label>
        <Controller
          name="next"
          control={control}
          render={({ field }) => (
            <SearchField
              id="next"
              search={search}
              value={field.value}
              onChange={field.onChange}
              start={first}
              minHeight={44}
            />
          )}
        />
        {said && <p className="small">{said}</p>}
        {/* Whose turn it is may be another holder's: that is to be known before one goes into this. */}
        {(card.turns ?? [])
          .filter((t) => !said?.includes(t.words))
          .map((t) => (
            <p key={t.number} className="small">
              {t.words}
            </p>
          ))}
      </Field>
      <Stickout register={register} />
    </Fields>
  );
}

/** The same body with its inserts turned, all or some seats. */
export function TurnedInserts({
  control,
  register,
  of,
}: Props & { of: NonNullable<AssemblyView['inserts']> }) {
  const options = of.numbers.map((n) => [String(n), String(n)] as const);
  const seats = (name: 'seats' | 'brokenSeats', label: string) => (
    <Field wide>
      <label id={`${name}-label`}>{label}</label>
      <Controller
        name={name}
        control={control}
        render={({ field }) => (
          <PickSome
            labelledBy={`${name}-label`}
            options={options}
            value={field.value}
            onChange={field.onChange}
          />
        )}
      />
    </Field>
  );
  return (
    <Fields style={{ marginTop: 10 }}>
      {seats('seats', `Seats turned; none ticked: all. Now ${edgesLeftWords(of)}`)}
      {seats('brokenSeats', 'Of them broken')}
      <Field wide>
        <label htmlFor="fresh">New ones from, where one can’t be turned</label>
        <Controller
          name="fresh"
          control={control}
          render={({ field }) => (
            <SearchField
              id="fresh"
              search={inserts}
              value={field.value}
              onChange={field.onChange}
              start={null}
              minHeight={44}
            />
          )}
        />
      </Field>
      <Stickout register={register} />
    </Fields>
  );
}

/** What is said of the turned inserts, as it is sent. */
export function turnedOf({ seats, brokenSeats, fresh }: EndTexts) {
  const parcel = parcelOf(fresh);
  return {
    ...(seats.length ? { seats } : {}),
    ...(brokenSeats.length ? { brokenSeats } : {}),
    ...(parcel ? { fresh: parcel } : {}),
  };
}
