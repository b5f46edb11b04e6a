'use client';
import { useState } from 'react';
import { type RegisterForm, registerText, type SizeCorrection } from '@/core/measuring';
import { asEntered, type CorrectionPlace, judgeCorrection, registerNumber, whyOther } from '@/core/registers';
import type { ControlRules, InControl } from '@/crib/registers';
import type { VerbInput } from '@/crib/verbs';
import { Choice, Field, Fields, Wrong } from '@/ui/kit/field';
import { BecauseThis, GradeMark, Judgements, Row, Rows } from '@/ui/kit/figure';
import { ProblemNote, SendButton, useVerb } from '@/ui/kit/form';
import { Acts } from '@/ui/kit/page';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { Typed } from '@/ui/screens/common/Typed';
import { useTimes } from '@/ui/shell';

/** With its sign, as it is added: '+0.030'. */
export const added = (change: number, form: RegisterForm): string => {
  const text = registerText({ value: change }, form) ?? '';
  return change > 0 && Number(text) !== 0 ? `+${text}` : text;
};

const FIELD = { H: 'h', D: 'd' } as const;
interface Texts {
  before: string;
  after: string;
}
const BLANK: Texts = { before: '', after: '' };

/** What goes into each register for sizes that are off, what it becomes, and that it was entered: read back, then recorded. */
export function SizeCorrected({
  asked,
  corrections,
  called,
  rules,
  on,
  sent,
  onDone,
}: {
  /** Registers that what was measured is a matter of. */
  asked: readonly ('D' | 'H')[];
  corrections: readonly SizeCorrection[];
  called: (register: 'D' | 'H') => string;
  rules: ControlRules;
  /** What is on the T; null: nothing can be recorded. */
  on: InControl | null;
  sent: Pick<VerbInput<'recordCorrection'>, 'operation' | 't' | 'features'>;
  onDone: () => void;
}) {
  const { units: unit } = rules;
  const { moment } = useTimes();
  const [texts, setTexts] = useState<{ D: Texts; H: Texts }>({ D: BLANK, H: BLANK });
  const [where, setWhere] = useState<CorrectionPlace | ''>('');
  const [despite, setDespite] = useState('');
  const { send, problem, pending, barred } = useVerb('recordCorrection');
  const type = (register: 'D' | 'H', to: Partial<Texts>) =>
    setTexts({ ...texts, [register]: { ...texts[register], ...to } });
  const isNumber = (text: string) => text.trim() === '' || registerNumber(text) !== null;
  /** null: nobody said whether there is a register for wear. */
  const placeOf = (register: 'D' | 'H'): CorrectionPlace | null =>
    register === 'D' && rules.dIsWear
      ? 'register'
      : rules.hasWear === null
        ? where || null
        : rules.hasWear
          ? 'wear'
          : 'register';
  const nameOf = (register: 'D' | 'H') =>
    `${placeOf(register) === 'wear' ? 'wear of ' : ''}${called(register)}`;
  const leftAt = (register: 'D' | 'H'): string | null => {
    const key = FIELD[register];
    return (placeOf(register) === 'wear' ? on?.had?.[`${key}Wear`] : on?.had?.[key]) ?? null;
  };
  const each = corrections.map((correction) => {
    const { register } = correction;
    const before = texts[register].before.trim() || leftAt(register);
    const next = asEntered(correction.change, isNumber(before ?? '') ? before : null, rules);
    const after = texts[register].after.trim();
    return {
      correction,
      register,
      next,
      off: after && next.after !== null ? whyOther(after, next.after, rules) : null,
      judgements: [
        ...correction.judgements,
        ...judgeCorrection(correction, on?.corrections ?? [], {
          ...{ name: nameOf(register), form: rules },
          before: texts[register].before.trim() || null,
          believed: leftAt(register),
        }),
      ],
    };
  });
  const judgements = each.flatMap((x) => x.judgements);
  const isAsked = judgements.some((j) => j.grade === 'question');
  const isSwapped = judgements.some((j) => j.code === 'LIMITS_SWAPPED');
  const isWithin =
    each.length > 0 && each.every((x) => x.correction.judgements.every((j) => j.code === 'WITHIN'));
  const isRead = each.every((x) => texts[x.register].after.trim() && x.next.after !== null && x.off === null);
  const isUnread = asked.some((r) => !isNumber(texts[r].before) || !isNumber(texts[r].after));
  const wantsPlace = each.some((x) => placeOf(x.register) === null);
  const save = async (stays: boolean) => {
    const of = (register: 'D' | 'H', name: keyof Texts): string =>
      each.some((x) => x.register === register) && !(stays && name === 'after')
        ? texts[register][name].trim()
        : '';
    const [hBefore, hAfter, dBefore, dAfter] = [
      ...[of('H', 'before'), of('H', 'after')],
      ...[of('D', 'before'), of('D', 'after')],
    ];
    const input: VerbInput<'recordCorrection'> = {
      ...sent,
      ...(hBefore ? { hBefore } : {}),
      ...(hAfter ? { hAfter } : {}),
      ...(dBefore ? { dBefore } : {}),
      ...(dAfter ? { dAfter } : {}),
      ...(where ? { place: where } : {}),
      ...(stays ? { stays } : {}),
      ...(on ? { tag: on.tag } : {}),
      ...(despite.trim() ? { despite: despite.trim() } : {}),
    };
    const done = await send(
      input,
      (d) => `${d.tag}: ${d.corrected.map((x) => `${x.register} ${x.change}`).join(', ')}`,
    );
    if (!done) return;
    setTexts({ D: BLANK, H: BLANK });
    setDespite('');
    onDone();
  };
  return (
    <>
      {rules.hasWear === null && asked.some((r) => !(r === 'D' && rules.dIsWear)) && on && (
        <Field wide>
          <label htmlFor={`where-${sent.t}`}>It goes into</label>
          <Choice
            id={`where-${sent.t}`}
            style={{ width: '100%' }}
            value={where}
            onChange={(e) =>
              setWhere(e.target.value === 'wear' || e.target.value === 'register' ? e.target.value : '')
            }
          >
            <option value="">whether it has wear registers, nobody said</option>
            <option value="wear">the wear register beside it</option>
            <option value="register">the register itself</option>
          </Choice>
        </Field>
      )}
      <Fields style={{ marginTop: 10 }}>
        {asked.map((register) => (
          <Typed
            key={register}
            label={`${nameOf(register)} in the control now`}
            inputMode="decimal"
            placeholder={leftAt(register) ?? undefined}
            value={texts[register].before}
            onChange={(e) => type(register, { before: e.target.value })}
          />
        ))}
      </Fields>
      {isUnread && <Wrong>One of them is no length: digits with a point, as the control shows them.</Wrong>}
      {each.map(({ correction, register, next, off, judgements: list }) => (
        <div key={register}>
          <Rows>
            <Row
              name={`Add to ${nameOf(register)}`}
              note={placeOf(register) === null ? 'or to its wear' : undefined}
              unit={unit}
              big
            >
              {added(correction.change, rules)}
            </Row>
            {next.after !== null && (
              <Row name={`${nameOf(register)} becomes`} unit={unit} big>
                {next.after}
              </Row>
            )}
            {correction.next.length > 1 && (
              <Row name="They differ by" unit={unit}>
                {registerText({ value: correction.spread }, rules)}
              </Row>
            )}
          </Rows>
          <BecauseThis because={correction.because} label="how it is reckoned" />
          <Judgements list={list} />
          {on && !isSwapped && next.after === null && (
            <div className="soft small">
              What does it show now? That and the change make what it is to show after.
            </div>
          )}
          {on && !isSwapped && next.after !== null && (
            <Fields>
              <Typed
                label={`${nameOf(register)} shows after`}
                inputMode="decimal"
                value={texts[register].after}
                onChange={(e) => type(register, { after: e.target.value })}
              />
            </Fields>
          )}
          {off !== null && (
            <GradeMark grade="stop">
              it should be {next.after}: {off}
            </GradeMark>
          )}
        </div>
      ))}
      {on && each.length > 0 && !isSwapped && (
        <>
          {isAsked && (
            <Fields>
              <Field wide>
                <Typed
                  label="Looked at: why it is right all the same"
                  value={despite}
                  onChange={(e) => setDespite(e.target.value)}
                />
              </Field>
            </Fields>
          )}
          <ProblemNote problem={problem} />
          <Acts>
            <SendButton
              variant={isRead ? 'contained' : 'outlined'}
              style={{ minHeight: 56, width: '100%' }}
              pending={pending}
              barred={barred}
              disabled={!isRead || wantsPlace || (isAsked && !despite.trim())}
              onSend={() => void save(false)}
            >
              {isRead ? `Entered for ${on.tag}: record it` : 'Enter it, then type what the control shows'}
            </SendButton>
            {isWithin && (
              <SendButton
                style={{ minHeight: 56, width: '100%' }}
                pending={pending}
                barred={barred}
                disabled={wantsPlace}
                onSend={() => void save(true)}
              >
                It stays as it is: record the size
              </SendButton>
            )}
          </Acts>
        </>
      )}
      {on?.corrections.toReversed().map((c, i) => (
        <div key={`${c.entryId} ${c.register}`} className="small">
          {c.place === 'wear' ? 'wear of ' : ''}
          {c.register}
          {c.number} <span className="fig">{added(c.changeMm, rules)}</span>
          {c.after === null ? '' : ` to ${c.after}`}{' '}
          <span className="soft">
            {moment(c.happenedAt)}, {c.who}
          </span>{' '}
          {i === 0 && <EntryBack entry={c.entryId} what={`the correction of ${moment(c.happenedAt)}`} />}
        </div>
      ))}
    </>
  );
}
