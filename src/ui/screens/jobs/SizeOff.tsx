'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import {
  correctSize,
  type FeatureKind,
  FEATURES,
  type MeasuredFeature,
  registerOf,
  standOff,
} from '@/core/measuring';
import { isOne, namesOf } from '@/core/names';
import { parseLength } from '@/core/units';
import type { ControlRules, InControl } from '@/crib/registers';
import { Choice, Field, Fields, Wrong } from '@/ui/kit/field';
import { Row, Rows } from '@/ui/kit/figure';
import { Acts, Caution } from '@/ui/kit/page';
import { Typed } from '@/ui/screens/common/Typed';
import { added, SizeCorrected } from './SizeCorrected';

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

/** At the machine: sizes that were measured on the part, what goes into the registers for the next, and that it was entered. */
export function SizeOff({
  t,
  operation,
  rules,
  cutBefore,
  numbers,
  control,
}: {
  t: number;
  operation: number;
  rules: ControlRules;
  /** Its edges have cut parts already. */
  cutBefore: boolean;
  /** The registers the program calls with it. */
  numbers: { D: readonly number[]; H: readonly number[] };
  /** What is on this T, sisters too; empty where nothing can be recorded. */
  control: readonly InControl[];
}) {
  const { units: unit, diameterSchool: school } = rules;
  const [tag, setTag] = useState(control[0]?.tag ?? null);
  const on = control.find((x) => x.tag === tag) ?? null;
  const [typed, setTyped] = useState<Typing[]>([BLANK]);
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
    (register) =>
      correctSize(register, features, {
        school,
        cutBefore: cutBefore || (on?.corrections.length ?? 0) > 0,
      }) ?? [],
  );
  const called = (register: 'D' | 'H') => {
    const [only, ...more] = numbers[register];
    if (only === undefined) return register;
    return on
      ? `${register}${on.numbers[register === 'H' ? 'h' : 'd']}`
      : more.length
        ? register
        : `${register}${only}`;
  };
  const unread =
    typed.some(({ kind: _kind, ...texts }) => Object.values(texts).some(isUnread)) || isUnread(off);
  const asked = new Set(typed.map((one) => registerOf(one.kind)).filter((register) => register !== null));
  const stays = mm(off);
  return (
    <section aria-label={`Size of T${t}`}>
      <div className="soft small">In {unit}, as the machine has them.</div>
      {control.length > 1 && (
        <Field wide>
          <label htmlFor={`which-${t}`}>Which of them cut it</label>
          <Choice
            id={`which-${t}`}
            style={{ width: '100%' }}
            value={tag ?? ''}
            onChange={(e) => setTag(e.target.value)}
          >
            {control.map((x) => (
              <option key={x.tag} value={x.tag}>
                {x.tag}, H{x.numbers.h}
              </option>
            ))}
          </Choice>
        </Field>
      )}
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
      <SizeCorrected
        key={tag ?? ''}
        asked={[...asked]}
        corrections={corrections}
        called={called}
        rules={rules}
        on={on}
        sent={{
          operation,
          t,
          features: features.flatMap(({ kind, wanted, measured, least, most }) =>
            kind === 'same way'
              ? []
              : [
                  {
                    kind,
                    wanted: `${wanted} mm`,
                    measured: `${measured} mm`,
                    ...(least === null ? {} : { least: `${least} mm` }),
                    ...(most === null ? {} : { most: `${most} mm` }),
                  },
                ],
          ),
        }}
        onDone={() => setTyped([BLANK])}
      />
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
              {added(standOff(register, school, stays), rules)}
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
