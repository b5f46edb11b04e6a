'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import {
  correctSize,
  type DiameterSchool,
  type FeatureKind,
  FEATURES,
  type MeasuredFeature,
  registerOf,
  registerText,
  standOff,
} from '@/core/measuring';
import { isOne, namesOf } from '@/core/names';
import { type LengthUnit, parseLength } from '@/core/units';
import { Choice, Field, Fields, Wrong } from '@/ui/kit/field';
import { BecauseThis, Judgements, Row, Rows } from '@/ui/kit/figure';
import { Acts, Caution } from '@/ui/kit/page';
import { Typed } from '@/ui/screens/common/Typed';

/** What somebody typed of a feature; blank where they have not yet. */
interface Typing {
  kind: FeatureKind;
  wanted: string;
  measured: string;
  least: string;
  most: string;
}
const BLANK: Typing = { kind: 'outside', wanted: '', measured: '', least: '', most: '' };
/** Features of one part that are corrected together. */
const MOST_FEATURES = 6;

/** With its sign, as it is added: '+0.030'. */
const added = (change: number, unit: LengthUnit): string => {
  const text = registerText({ value: change }, unit) ?? '';
  return change > 0 && Number(text) !== 0 ? `+${text}` : text;
};

/** At the machine: sizes that were measured on the part, and what goes into the registers for the next. */
export function SizeOff({
  t,
  unit,
  school,
  cutBefore,
  numbers,
}: {
  t: number;
  unit: LengthUnit;
  school: DiameterSchool;
  /** Its edges have cut parts already. */
  cutBefore: boolean;
  /** The registers the program calls with it. */
  numbers: { D: readonly number[]; H: readonly number[] };
}) {
  const [typed, setTyped] = useState<Typing[]>([BLANK]);
  const [now, setNow] = useState({ D: '', H: '' });
  const [off, setOff] = useState('');
  const change = (at: number, to: Partial<Typing>) =>
    setTyped(typed.map((one, i) => (i === at ? { ...one, ...to } : one)));
  const mm = (text: string): number | null => parseLength(text, unit)?.mm ?? null;
  /** Something stands there, and it is no size of a part. */
  const isUnread = (text: string) => text.trim() !== '' && !((mm(text) ?? 0) > 0);
  const features = typed.flatMap(({ kind, ...texts }): MeasuredFeature[] => {
    const [wanted, measured] = [mm(texts.wanted), mm(texts.measured)];
    // A limit that can't be read is not one that was not stated.
    return wanted === null || measured === null || Object.values(texts).some(isUnread)
      ? []
      : [{ kind, wanted, measured, least: mm(texts.least), most: mm(texts.most) }];
  });
  const corrections = (['D', 'H'] as const).flatMap(
    (register) => correctSize(register, features, { school, cutBefore }) ?? [],
  );
  const called = (register: 'D' | 'H') => {
    const [only, ...more] = numbers[register];
    return only === undefined || more.length ? register : `${register}${only}`;
  };
  const isNumber = (text: string) => text.trim() === '' || mm(text) !== null;
  const unread =
    typed.some(({ kind: _kind, ...texts }) => Object.values(texts).some(isUnread)) ||
    ![now.D, now.H].every(isNumber) ||
    isUnread(off);
  const asked = new Set(typed.map((one) => registerOf(one.kind)).filter((register) => register !== null));
  const stays = mm(off);
  return (
    <section aria-label={`Size of T${t}`}>
      <div className="soft small">In {unit}, as the machine has them.</div>
      {typed.map((one, at) => (
        <Fields key={at} style={{ marginTop: 10 }}>
          <Field wide>
            <label htmlFor={`kind-${t}-${at}`}>What was measured</label>
            <Choice
              id={`kind-${t}-${at}`}
              style={{ width: '100%' }}
              value={one.kind}
              onChange={(e) =>
                isOne(namesOf(FEATURES), e.target.value) && change(at, { kind: e.target.value })
              }
            >
              {namesOf(FEATURES).map((kind) => (
                <option key={kind} value={kind}>
                  {FEATURES[kind]}
                </option>
              ))}
            </Choice>
          </Field>
          {one.kind === 'same way' ? (
            <Wrong>
              Both walls move together: no register changes this. Look at the program, the stock or the
              machine.
            </Wrong>
          ) : (
            (
              [
                ['wanted', 'On the drawing'],
                ['measured', 'Measured'],
                ['least', 'Least, if stated'],
                ['most', 'Most, if stated'],
              ] as const
            ).map(([name, label]) => (
              <Typed
                key={name}
                label={label}
                inputMode="decimal"
                value={one[name]}
                onChange={(e) => change(at, { [name]: e.target.value })}
              />
            ))
          )}
        </Fields>
      ))}
      {unread && (
        <Wrong>
          One of them is no length above zero: digits with a point, and a unit where it is another.
        </Wrong>
      )}
      <Acts>
        {typed.length < MOST_FEATURES && (
          <Button onClick={() => setTyped([...typed, BLANK])}>Another size of this part</Button>
        )}
        {typed.length > 1 && <Button onClick={() => setTyped(typed.slice(0, -1))}>Take the last away</Button>}
      </Acts>
      <Fields style={{ marginTop: 10 }}>
        {[...asked].map((register) => (
          <Typed
            key={register}
            label={`${called(register)} in the control now`}
            inputMode="decimal"
            value={now[register]}
            onChange={(e) => setNow({ ...now, [register]: e.target.value })}
          />
        ))}
      </Fields>
      {corrections.map((correction) => {
        const before = mm(now[correction.register]);
        const name = called(correction.register);
        return (
          <div key={correction.register}>
            <Rows>
              <Row name={`Add to ${name}`} note="or to its wear" unit={unit} big>
                {added(correction.change, unit)}
              </Row>
              {before !== null && (
                <Row name={`${name} becomes`} unit={unit} big>
                  {registerText({ value: before + correction.change }, unit)}
                </Row>
              )}
              {correction.next.length > 1 && (
                <Row name="They differ by" unit={unit}>
                  {registerText({ value: correction.spread }, unit)}
                </Row>
              )}
            </Rows>
            <BecauseThis because={correction.because} label="how it is reckoned" />
            <Judgements list={correction.judgements} />
          </div>
        );
      })}
      <Fields style={{ marginTop: 10 }}>
        <Typed
          label="First cut stays off by"
          inputMode="decimal"
          value={off}
          onChange={(e) => setOff(e.target.value)}
        />
      </Fields>
      {stays !== null && stays > 0 && (
        <Rows>
          {[...asked].map((register) => (
            <Row key={register} name={`Add to ${called(register)} first`} unit={unit} big>
              {added(standOff(register, school, stays), unit)}
            </Row>
          ))}
        </Rows>
      )}
      <Caution>
        A wrong sign drives the cutter into the part. Read the new value back from the control, keep a hand on
        the feed at the first approach, and follow your shop’s own rules for who changes registers.
      </Caution>
    </section>
  );
}
