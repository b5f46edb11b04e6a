'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { type Ending, ENDING_NAMES, ENDINGS, type Sign, SIGNS } from '@/core/life';
import { linkTo, linkToRun } from '@/core/links';
import { isOne } from '@/core/names';
import { enteredText, parseLength, readCents } from '@/core/units';
import type { AssemblyCard } from '@/crib/rack';
import type { TakeSource } from '@/crib/stock';
import { Choice, Entry, Field, Fields, PickOne, PickSome, Stepper } from '@/ui/kit/field';
import { ProblemNote, SearchField, SendButton, useVerb } from '@/ui/kit/form';
import { Acts, Caution, Hand, Notice } from '@/ui/kit/page';
import { foundSource, sourceOf, takeables } from '@/ui/screens/common/found';
import { Middle, useLengths, useSurroundings } from '@/ui/shell';
import { placeOptions } from '@/ui/screens/common/options';

const CAUTIONS: Partial<Record<Ending, string>> = {
  broken:
    'A cutter broken at speed throws fragments. Stop and lock out before clearing; find every fragment, a shard left in the cut breaks the next cutter.',
  chipped: 'Look with a light for chips left in the cut before the next cutter goes in.',
  crash:
    'Stop and lock out. After a crash K may be another: measure the machine and every tool that hit before the next cut.',
  'pulled-out': 'Hold every part since the last good measurement. Degrease shank and bore, torque the nut.',
};

/** What is said of an end, as typed. */
interface EndTexts {
  /** Parts since the last log, by operation: `o` and its id. */
  since: Record<string, string>;
  kind: Ending | null;
  signs: Sign[];
  then: 'down' | 'rebuild';
  next: string;
  stickout: string;
  to: string;
  cost: string;
  despite: string;
}
const FOR_A_THUMB = { width: '100%', minHeight: 44, fontSize: 16 };

/** Fields of a refusal that a reason overrules: a stop, and what is set aside for another job. */
const DESPITE = ['stickout', 'cutter.item'] as const;

/** Three taps at the machine: how it ended, parts since, what now. */
export function EndScreen({
  card,
  takeable,
  places,
}: {
  card: AssemblyCard;
  /** What can be taken in its place, the same cutter first. */
  takeable: TakeSource[];
  places: { code: string; name: string; kind: string; inUse: boolean }[];
}) {
  const router = useRouter();
  const { who } = useSurroundings();
  const { unit: shownUnit } = useLengths();
  const [unit] = useState(shownUnit);
  const { send, problem, pending, barred } = useVerb('endLife');
  // Offered at once is the same cutter, or an older version of it that goes first; another one is chosen by name.
  const [first] = useState(() => {
    const same = takeable[0];
    return same && takeable.some((s) => s.item === card.cutter.code) ? foundSource(same) : null;
  });
  const [search] = useState(() => takeables('cutter', card.cutter.code));
  const { control, register, handleSubmit, setError, formState } = useForm<EndTexts>({
    defaultValues: {
      since: {},
      kind: null,
      signs: [],
      then: 'down',
      next: first?.value ?? '',
      stickout: card.stickoutEntered,
      to: 'SCRAP',
      cost: '',
      despite: '',
    },
  });
  const [kind, then] = useWatch({ control, name: ['kind', 'then'] });
  // One row an operation, even where a tool has two T in it.
  const operations = [...new Map(card.ties.map((t) => [t.operation, t])).values()];

  const end = async (texts: EndTexts, confirmed: boolean) => {
    const missing = (message: string) => setError('root', { message });
    if (!texts.kind) return missing('Say how it ended.');
    if (texts.then === 'rebuild' && !texts.next) return missing('Say which cutter goes into it.');
    const costCents = readCents(texts.cost);
    if (texts.cost.trim() && costCents === null)
      return missing(`Cost “${texts.cost}” is no amount: figures, and two decimals at most.`);
    const length = parseLength(texts.stickout, unit);
    const despite = texts.despite.trim();
    const done = await send(
      {
        tag: card.tag,
        kind: texts.kind,
        signs: texts.signs,
        ...(confirmed ? { confirmed } : {}),
        ...(costCents === null ? {} : { costCents }),
        partsSince: operations.flatMap(({ operation }) => {
          const parts = texts.since[`o${operation}`]?.trim();
          return parts ? [{ operation, parts }] : [];
        }),
        ...(texts.kind === 'lost' ? {} : { cutterTo: texts.to }),
        ...(texts.then === 'rebuild'
          ? {
              rebuild: {
                cutter: sourceOf(texts.next),
                stickout: length ? enteredText(length) : texts.stickout,
                ...(despite ? { despite } : {}),
              },
            }
          : {}),
      },
      (d) =>
        d.newTag
          ? `${card.tag} ended; ${d.newTag} is built in its place: measure it`
          : `${card.tag} ended and taken down`,
    );
    if (done)
      router.push(
        done.newTag
          ? linkTo('rack', { open: done.newTag, do: 'measure' })
          : operations[0]
            ? linkToRun(operations[0].operation)
            : '/rack',
      );
  };
  return (
    <Middle>
      {/* No form element: Enter in a field, or a scan's, must not end a life. */}
      <Hand>
        <h1>
          End the life of <span className="fig">{card.tag}</span>
        </h1>
        <div className="soft">
          {card.cutter.words} · {card.life.minutes.toFixed(1)} min in the cut so far
          {card.ties.length ? ` · ${card.ties.map((t) => `T${t.t} of ${t.job}`).join(', ')}` : ''}
        </div>
        {who ? (
          <div className="soft small">
            You sign as <strong className="fig">{who}</strong>
          </div>
        ) : (
          <Notice>Pick your initials first: under Areas.</Notice>
        )}
        {operations.map((o) => (
          <div key={o.operation}>
            <h2>Parts of {o.job} since the last log</h2>
            <Controller
              name={`since.o${o.operation}`}
              control={control}
              render={({ field }) => (
                <Stepper
                  label={`Parts of ${o.job} since the last log`}
                  value={field.value ?? ''}
                  onChange={field.onChange}
                />
              )}
            />
          </div>
        ))}
        <h2>How did it end?</h2>
        <Controller
          name="kind"
          control={control}
          render={({ field }) => (
            <PickOne
              label="How did it end?"
              options={ENDING_NAMES.map((k) => [k, ENDINGS[k].words] as const)}
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
        {kind && CAUTIONS[kind] && <Caution>{CAUTIONS[kind]}</Caution>}
        <h2>Signs seen</h2>
        <Controller
          name="signs"
          control={control}
          render={({ field }) => (
            <PickSome
              label="Signs seen"
              options={SIGNS.map((s) => [s, s] as const)}
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
        <h2>What now?</h2>
        <Controller
          name="then"
          control={control}
          render={({ field }) => (
            <PickOne
              label="What now?"
              options={[
                ['down', 'take it down, holder back to its place'],
                ['rebuild', 'another cutter into it', takeable.length === 0],
              ]}
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
        {then === 'rebuild' && (
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
            </Field>
            <Field>
              <label htmlFor="stickout">Stickout</label>
              <Entry id="stickout" className="fig" style={FOR_A_THUMB} {...register('stickout')} />
            </Field>
          </Fields>
        )}
        <Fields style={{ marginTop: 10 }}>
          {kind !== 'lost' && (
            <Field>
              <label htmlFor="to">The old cutter goes to</label>
              <Choice id="to" style={FOR_A_THUMB} {...register('to')}>
                <option value="SCRAP">scrap</option>
                {placeOptions(places).map(([code, words]) => (
                  <option key={code} value={code}>
                    {words}, to be graded
                  </option>
                ))}
              </Choice>
            </Field>
          )}
          <Field>
            <label htmlFor="cost">Cost of it (if known)</label>
            <Entry id="cost" className="fig" inputMode="decimal" style={FOR_A_THUMB} {...register('cost')} />
          </Field>
        </Fields>
        {then === 'rebuild' && problem?.problems.some((p) => isOne(DESPITE, p.field)) && (
          <Field style={{ marginTop: 10 }}>
            <label htmlFor="despite">
              {problem.problems.some((p) => p.field === 'stickout')
                ? 'A stop is judged: why build it all the same?'
                : 'The last are set aside: why take one all the same?'}
            </label>
            <Entry id="despite" style={FOR_A_THUMB} {...register('despite')} />
          </Field>
        )}
        {formState.errors.root && (
          <Notice kind="stop" now>
            {formState.errors.root.message}
          </Notice>
        )}
        <ProblemNote problem={problem} />
        {problem?.problems.some((p) => p.field === 'confirmed') && (
          <Acts>
            <SendButton
              style={{ minHeight: 56, width: '100%' }}
              pending={pending}
              barred={barred}
              onSend={() => void handleSubmit((texts) => end(texts, true))()}
            >
              Counted again: so many were made
            </SendButton>
          </Acts>
        )}
        <Acts>
          <SendButton
            variant="contained"
            style={{ minHeight: 56, width: '100%', fontSize: 18 }}
            pending={pending}
            barred={barred}
            onSend={() => void handleSubmit((texts) => end(texts, false))()}
          >
            {pending ? 'Writing …' : 'End this life'}
          </SendButton>
        </Acts>
        <Caution>Cutters are sharp even when worn out: hold by the shank, never on the flutes.</Caution>
      </Hand>
    </Middle>
  );
}
