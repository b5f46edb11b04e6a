'use client';
import { useId, useState } from 'react';
import {
  type CutterGeometry,
  effectiveDiameter,
  flatFloor,
  millsFloor,
  rampLength,
  rampLimit,
  reach,
  ridgeHeight,
  smallestInsideCorner,
} from '@/core/cutters';
import { parseLength } from '@/core/units';
import { RidgeChart } from '@/ui/kit/chart';
import { Entry, Wrong } from '@/ui/kit/field';
import { BecauseThis, Row, Rows, Unknown } from '@/ui/kit/figure';
import { useLengths } from '@/ui/shell';

/** What a milling cutter leaves on a floor and in a corner; the stepover and the depth can be tried. */
export function FloorFigures({
  cutter,
  centreCutting,
}: {
  cutter: CutterGeometry;
  centreCutting: boolean | null;
}) {
  const { show, unit, unitWord } = useLengths();
  const [stepover, setStepover] = useState('');
  const [depth, setDepth] = useState('');
  const ramp = rampLimit(cutter, centreCutting);
  if (!millsFloor(cutter))
    return smallestInsideCorner(cutter) === null ? null : (
      <>
        <h2>What it leaves</h2>
        <Rows>
          <Row name="Smallest inside corner" note="radius" unit={unitWord}>
            {show(smallestInsideCorner(cutter), 2)}
          </Row>
        </Rows>
      </>
    );
  const { value: flat, because } = flatFloor(cutter, (mm) => `${show(mm)} ${unitWord}`);
  const corner = smallestInsideCorner(cutter);
  const tried = (text: string, of: (mm: number) => number | null) => {
    const length = parseLength(text, unit);
    const value = length ? of(length.mm) : null;
    return { value, wrong: text.trim() !== '' && value === null };
  };
  const stepoverMm = parseLength(stepover, unit)?.mm ?? null;
  const ridge = tried(stepover, (mm) => ridgeHeight(cutter, mm));
  const diameter = tried(depth, (mm) => effectiveDiameter(cutter, mm));
  return (
    <>
      <h2>What it leaves</h2>
      <Rows>
        {corner !== null && (
          <Row name="Smallest inside corner" note="radius" unit={unitWord}>
            {show(corner, 2)}
          </Row>
        )}
        <Row name="Flat floor" note="stepover up to" unit={flat === null ? undefined : unitWord}>
          {flat === null ? <Unknown>RE not known</Unknown> : show(flat, 2)}
        </Row>
        <Row
          name="Reaches beside a wall"
          note="flutes, and a neck thinner than DC"
          unit={reach(cutter) === null ? undefined : unitWord}
        >
          {reach(cutter) === null ? <Unknown>LCF not known</Unknown> : show(reach(cutter), 2)}
        </Row>
        <Row
          name="Ramp into solid"
          note={
            ramp.degrees === null || ramp.degrees <= 0
              ? ramp.words
              : `${ramp.words}; DC/2 deep takes ${show(rampLength(cutter.DC / 2, ramp.degrees), 1)} ${unitWord} of way`
          }
        >
          {ramp.degrees === null ? <Unknown>no limit known</Unknown> : `${ramp.degrees}°`}
        </Row>
        <Try
          label="Ridge at a stepover of"
          text={stepover}
          onText={setStepover}
          wrong={ridge.wrong ? `more than 0, at most DC ${show(cutter.DC, 2)}` : null}
        >
          {ridge.value === null ? <Unknown>—</Unknown> : show(ridge.value)}
        </Try>
        <Try
          label="Cuts as Ø at a depth of"
          text={depth}
          onText={setDepth}
          wrong={diameter.wrong ? 'more than 0, and RE known' : null}
        >
          {diameter.value === null ? <Unknown>—</Unknown> : show(diameter.value, 2)}
        </Try>
      </Rows>
      {flat !== null && flat < cutter.DC && <RidgeChart cutter={cutter} tried={stepoverMm} />}
      <BecauseThis because={because} />
    </>
  );
}

function Try({
  label,
  text,
  onText,
  wrong,
  children,
}: {
  label: string;
  text: string;
  onText: (text: string) => void;
  wrong: string | null;
  children: React.ReactNode;
}) {
  const id = useId();
  const { unitWord } = useLengths();
  return (
    <Row
      unit={unitWord}
      name={
        <>
          <label htmlFor={id}>{label}</label>{' '}
          <Entry
            id={id}
            className="fig"
            inputMode="decimal"
            value={text}
            onChange={(e) => onText(e.target.value)}
            aria-describedby={wrong ? `${id}w` : undefined}
            style={{ width: 64 }}
          />
          {wrong && <Wrong id={`${id}w`}>{wrong}</Wrong>}
        </>
      }
    >
      {children}
    </Row>
  );
}
