'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { isBreak, leavesFragments, signsAsked } from '@/core/breakage';
import { endingChoices, ENDINGS } from '@/core/life';
import { linkTo, linkToRun } from '@/core/links';
import { isOne } from '@/core/names';
import type { AN_END, Question } from '@/core/questions';
import { enteredText, parseLength, readCents } from '@/core/units';
import type { AssemblyCard, AssemblyView } from '@/crib/rack';
import type { TakeSource } from '@/crib/stock';
import { Choice, Entry, Field, Fields, PickOne, Stepper } from '@/ui/kit/field';
import { ProblemNote, SendButton, useVerb } from '@/ui/kit/form';
import { Acts, Caution, Hand, Notice } from '@/ui/kit/page';
import { foundSource, sourceOf } from '@/ui/screens/common/found';
import { Middle, useLengths, useSurroundings } from '@/ui/shell';
import { placeOptions } from '@/ui/screens/common/options';
import { SeatCaution } from '@/ui/screens/common/SeatCaution';
import { NextCutter, TurnedInserts, turnedOf } from './NextCutter';
import { brokeOf, CAUTIONS, type EndTexts, FOR_A_THUMB, Fragments, Lost, WhereItBroke } from './Broke';
import { SeenPicks } from '@/ui/screens/common/signs/SeenPicks';

/** Fields of a refusal that a reason overrules: a stop, and what is set aside for another job. */
const DESPITE = ['stickout', 'cutter.item'] as const;

/** Three taps at the machine: how it ended, parts since, what now. */
export function EndScreen({
  card,
  takeable,
  places,
  asked = {},
}: {
  card: AssemblyCard & Partial<Pick<AssemblyView, 'inserts' | 'turns'>>;
  /** What is known from where somebody came: how it ended, and on which T. */
  asked?: Question<typeof AN_END>;
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
  const { control, register, handleSubmit, setError, formState } = useForm<EndTexts>({
    defaultValues: {
      since: {},
      kind: asked.how ?? null,
      signs: [],
      // An address may name a T it is not tied to any more.
      at: card.ties.some((t) => t.operation === asked.operation && t.t === asked.t)
        ? `${asked.operation} ${asked.t}`
        : null,
      fragments: null,
      recutBy: '',
      lostParts: '',
      lostMinutes: '',
      then: null,
      seats: [],
      brokenSeats: [],
      fresh: '',
      next: first?.value ?? '',
      stickout: card.stickoutEntered,
      // A body is worth more than its edges, and its inserts are still in it.
      to: card.inserts ? card.holder.from : 'SCRAP',
      cost: '',
      despite: '',
    },
  });
  const [kind, chosen] = useWatch({ control, name: ['kind', 'then'] });
  /** A body goes on with its inserts turned; one that was in a crash only where somebody says so, a lost one never. */
  const thenOf = ({ kind: how, then: what }: Pick<EndTexts, 'kind' | 'then'>) =>
    how === 'lost' && what === 'turned'
      ? 'down'
      : (what ?? (card.inserts && how !== 'crash' && how !== 'lost' ? 'turned' : 'down'));
  const then = thenOf({ kind, then: chosen });
  const broke = kind !== null && isBreak(kind);
  // One row an operation, even where a tool has two T in it.
  const operations = [...new Map(card.ties.map((t) => [t.operation, t])).values()];

  const end = async (said: EndTexts, confirmed: boolean) => {
    const texts = { ...said, then: thenOf(said) };
    const missing = (message: string) => setError('root', { message });
    if (!texts.kind) return missing('Say how it ended.');
    if (texts.then === 'rebuild' && !texts.next) return missing('Say which cutter goes into it.');
    if (isBreak(texts.kind) && card.ties.length > 1 && texts.at === null)
      return missing('Say on which T it happened.');
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
        ...brokeOf(texts),
        ...(confirmed ? { confirmed } : {}),
        ...(costCents === null ? {} : { costCents }),
        partsSince: operations.flatMap(({ operation }) => {
          const parts = texts.since[`o${operation}`]?.trim();
          return parts ? [{ operation, parts }] : [];
        }),
        ...(texts.kind === 'lost' || texts.then === 'turned' ? {} : { cutterTo: texts.to }),
        ...(texts.then !== 'down'
          ? {
              rebuild: {
                ...(texts.then === 'turned' ? { turned: turnedOf(texts) } : { cutter: sourceOf(texts.next) }),
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
          : isBreak(texts.kind)
            ? linkTo('breakages', { open: done.entry })
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
              options={endingChoices(card.wear.here !== null).map((k) => [k, ENDINGS[k].words] as const)}
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
        {kind && CAUTIONS[kind] && <Caution>{CAUTIONS[kind]}</Caution>}
        {broke && card.ties.length > 1 && <WhereItBroke control={control} ties={card.ties} />}
        {kind && leavesFragments(kind) && <Fragments control={control} tied={card.ties.length > 0} />}
        <h2>Signs seen</h2>
        <Controller
          name="signs"
          control={control}
          render={({ field }) => (
            <SeenPicks
              label="Signs seen"
              offered={signsAsked(kind, card.cutter.family)}
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
        {broke && <Lost control={control} />}
        <h2>What now?</h2>
        <Controller
          name="then"
          control={control}
          render={({ field }) => (
            <PickOne
              label="What now?"
              options={[
                ['down', 'take it down, holder back to its place'],
                ...(card.inserts
                  ? [['turned', 'turn its inserts, and go on with it', kind === 'lost'] as const]
                  : []),
                ['rebuild', 'another cutter into it', takeable.length === 0],
              ]}
              value={then}
              onChange={field.onChange}
            />
          )}
        />
        {then === 'rebuild' && <NextCutter control={control} register={register} card={card} first={first} />}
        {then === 'turned' && card.inserts && (
          <>
            <TurnedInserts control={control} register={register} of={card.inserts} />
            <SeatCaution />
          </>
        )}
        <Fields style={{ marginTop: 10 }}>
          {kind !== 'lost' && then !== 'turned' && (
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
              {kind === 'worn-here' && (
                <div className="small">Not worn as usual: graded, it may still rough.</div>
              )}
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
