'use client';
import { useState } from 'react';
import {
  classesLeft,
  familySpec,
  formingHole,
  readThread,
  reamerLimits,
  reamerState,
  tapDrill,
  threadPercent,
} from '@/core/cutters';
import { sure } from '@/core/sure';
import { parseDiameter } from '@/core/units';
import type { ItemLine } from '@/crib/catalogue';
import { Entry } from '@/ui/kit/field';
import { BecauseThis, Row, Rows, Unknown } from '@/ui/kit/figure';
import { Notice } from '@/ui/kit/page';
import { useLengths } from '@/ui/shell';

/** What a reamer or a tap is for: the limits it must lie in, the hole before it. */
export function HoleFigures({ item }: { item: ItemLine }) {
  const text = (symbol: string) => item.facts.find((f) => f.symbol === symbol)?.text ?? null;
  const work = item.family === null ? undefined : familySpec(item.family).hole;
  if (work === 'reams')
    return (
      <ReamerFigures
        nominal={sure(item.cutter, `${item.code} as a cutter`).DC}
        cls={text('TCHA')}
        measured={item.facts.find((f) => f.symbol === 'DCM')?.value ?? null}
      />
    );
  if (work === 'taps' && text('TDZ'))
    return (
      <TapFigures
        thread={text('TDZ') ?? ''}
        by={text('TAPPING') === 'forming' ? 'forming' : 'cutting'}
        said={text('TAPPING') !== null}
      />
    );
  return null;
}

function ReamerFigures({
  nominal,
  cls,
  measured,
}: {
  nominal: number;
  cls: string | null;
  measured: number | null;
}) {
  const { show, unitWord } = useLengths();
  const limits = cls === null ? null : reamerLimits(nominal, cls);
  if (!limits)
    return (
      <>
        <h2>Its hole</h2>
        <p className="soft small">
          The hole’s class (TCHA, such as H7) is not known: no limits can be given.
        </p>
      </>
    );
  const state = measured === null ? null : reamerState(limits, measured);
  const left = measured === null ? [] : classesLeft(nominal, measured).filter((x) => x.cls.startsWith('H'));
  return (
    <>
      <h2>Its hole, {cls}</h2>
      <Rows>
        <Row name="Hole" unit={unitWord}>
          {show(limits.lower)} to {show(limits.upper)}
        </Row>
        <Row name="Reamer when new" note="smallest to largest" unit={unitWord}>
          {show(limits.smallest)} to {show(limits.largest)}
        </Row>
        <Row name="Measured" unit={measured === null ? undefined : unitWord} note={state ?? undefined}>
          {measured === null ? <Unknown>not measured</Unknown> : show(measured)}
        </Row>
        {measured !== null && (
          <Row name="Still makes" note="finest first">
            {left.length ? left.map((x) => x.cls).join(', ') : 'no H class here'}
          </Row>
        )}
      </Rows>
      <BecauseThis because={limits.because} />
    </>
  );
}

function TapFigures({
  thread: text,
  by,
  said,
}: {
  thread: string;
  by: 'cutting' | 'forming';
  said: boolean;
}) {
  const { show, unit, unitWord } = useLengths();
  const [hole, setHole] = useState('');
  const thread = readThread(text);
  if (!thread) return null;
  const drill = tapDrill(thread, by, (mm) => `${show(mm)} ${unitWord}`);
  const tried = parseDiameter(hole, unit);
  if (!drill)
    return (
      <>
        <h2>The hole before it</h2>
        <p className="soft">No table of drills for {text} here: take the hole that the tap’s maker says.</p>
      </>
    );
  return (
    <>
      <h2>The hole before it</h2>
      <Rows>
        <Row name={by === 'forming' ? 'Hole for forming' : 'Drill'} note={drill.words} unit={unitWord} big>
          {show(drill.drill, 2)}
        </Row>
        {drill.percent !== null && (
          <Row name="Thread" note="of 3/4 H">
            {Math.round(drill.percent)} %
          </Row>
        )}
        <Row
          name={
            <label>
              With a drill of{' '}
              <Entry
                className="fig"
                style={{ width: 70 }}
                value={hole}
                onChange={(e) => setHole(e.target.value)}
              />
            </label>
          }
        >
          {tried ? (
            by === 'forming' ? (
              `${show(tried.mm - formingHole(thread), 2)} from the forming hole`
            ) : drill.percent === null ? (
              `${show(tried.mm - drill.drill, 2)} from the table’s`
            ) : (
              `${Math.round(threadPercent(thread, tried.mm))} %`
            )
          ) : (
            <Unknown>—</Unknown>
          )}
        </Row>
      </Rows>
      {!said && <p className="soft small">Whether it cuts or forms is not known: taken as cutting.</p>}
      {by === 'forming' && (
        <Notice>
          <strong>Forming tap.</strong> The drill of a cutting tap is too small for it and breaks it.
        </Notice>
      )}
      <BecauseThis because={drill.because} />
    </>
  );
}
