'use client';
import { line as lineOf, scaleLinear } from 'd3';
import { useId, useState } from 'react';
import { costOfWay, type Side, type Way, type WhichPays as Pays, whichPays } from '@/core/life';
import { money, parseNumber } from '@/core/units';
import type { Beside, LifeSheet } from '@/crib/life';
import { Axes } from '@/ui/kit/chart';
import { Entry, Field, Fields } from '@/ui/kit/field';
import { BecauseThis, Row, Rows } from '@/ui/kit/figure';

const SIDES = ['first', 'second'] as const;
const FIELDS = {
  minute: 'The machine costs a minute',
  change: 'Minutes a change takes',
  litre: 'Chips of a part, cm³ (if known)',
} as const;
const OF_EACH = { edge: 'an edge set', part: 'minutes in the cut a part', once: 'bought once' } as const;
type Texts = Record<string, string>;

/** What a part costs by the cutter that is open and by the one beside it, and from how many parts on which pays. */
export function WhichPays({ line, beside }: { line: LifeSheet; beside: Omit<Beside, 'ranApart'> }) {
  const id = useId();
  const names = { first: line.item.code, second: beside.code };
  const edge = (side: Side) => {
    const { cents } = beside.rates[side].edge;
    return cents === null ? '' : (cents / 100).toFixed(2);
  };
  const [texts, setTexts] = useState<Texts>({
    ...{
      minute: line.costs.said ? money(line.costs.said.minuteCents) : '',
      change: line.costs.said ? String(line.costs.said.changeMinutes) : '',
      litre: '',
    },
    ...{ 'edge first': edge('first'), 'edge second': edge('second') },
    ...{ 'part first': '', 'part second': '', 'once first': '0', 'once second': '0' },
  });
  const field = (name: string, label: string) => (
    <Field key={name}>
      <label htmlFor={`${id} ${name}`}>{label}</label>
      <Entry
        id={`${id} ${name}`}
        className="fig"
        inputMode="decimal"
        value={texts[name] ?? ''}
        onChange={(e) => setTexts({ ...texts, [name]: e.target.value })}
      />
    </Field>
  );
  const said = reckon(texts, beside);
  return (
    <section aria-label="Which pays">
      <h2>Which pays, and from how many parts on</h2>
      <Fields>{Object.entries(FIELDS).map(([name, label]) => field(name, label))}</Fields>
      {SIDES.map((side) => (
        <Fields key={side}>
          {Object.entries(OF_EACH).map(([name, label]) =>
            field(`${name} ${side}`, `${names[side]}: ${label}`),
          )}
        </Fields>
      ))}
      {typeof said === 'string' ? (
        <p className="soft">{said}</p>
      ) : (
        <>
          <p>
            <b>{verdict(said.pays, names)}</b>
            <span className="soft"> In the mean; what the lives leave open stands below.</span>
          </p>
          <Rows>
            {SIDES.map((side) => {
              const cost = said.pays[side];
              const { from, to } = said.likely[side];
              return (
                <Row
                  key={side}
                  name={`A part by ${names[side]}`}
                  note={[
                    `edges ${cost.edges.toFixed(2)}, changes ${cost.changes.toFixed(2)}, machine ${cost.machine.toFixed(2)}`,
                    `likely ${from.toFixed(2)} to ${to.toFixed(2)}`,
                    `an edge set makes ${cost.partsAnEdge.toFixed(1)} parts`,
                    cost.litre !== null && `a litre of chips ${cost.litre.toFixed(2)}`,
                  ]
                    .filter(Boolean)
                    .join('; ')}
                >
                  {cost.all.toFixed(2)}
                </Row>
              );
            })}
            {SIDES.map((side) => (
              <Row
                key={`${side} long`}
                name={`If ${names[side]} lasts as long, and ${names[side === 'first' ? 'second' : 'first']} as short, as is likely`}
              >
                <span className="small">{verdict(said.atLimits[side], names)}</span>
              </Row>
            ))}
          </Rows>
          <BecauseThis because={said.pays.because} label="which pays, because" />
          <PaysChart pays={said.pays} once={said.once} names={names} />
        </>
      )}
    </section>
  );
}

interface Reckoned {
  pays: Pays;
  once: Record<Side, number>;
  /** Cost of a part at the limits of the mean life. */
  likely: Record<Side, { from: number; to: number }>;
  /** Which pays where the one lasts as long, and the other as short, as is likely. */
  atLimits: Record<Side, Pays>;
}

/** What follows from the fields; in words what is missing. */
function reckon(texts: Texts, beside: Omit<Beside, 'ranApart'>): Reckoned | string {
  const number = (name: string) => {
    const n = parseNumber(texts[name] ?? '');
    return n !== null && n >= 0 && n <= 1e6 ? n : null;
  };
  const litre = number('litre');
  if (texts.litre?.trim() && !litre)
    return 'Chips of a part are cm³, more than 0; left empty where nobody knows.';
  const [minute, change] = [number('minute'), number('change')];
  if (minute === null || change === null)
    return 'What the machine costs a minute, and how long a change takes, is needed.';
  const ways: Partial<Record<Side, Way>> = {};
  const likely: Partial<Reckoned['likely']> = {};
  for (const side of SIDES) {
    const mean = beside.compared.means[side];
    const [edge, part, once] = [number(`edge ${side}`), number(`part ${side}`), number(`once ${side}`)];
    if (!mean) return 'How long both last must be known: too few have failed.';
    if (edge === null || once === null) return 'What an edge set of each costs is needed.';
    if (part === null || part === 0) return 'How many minutes in the cut a part takes by each is needed.';
    const way = { edge, once, partMinutes: part, changeMinutes: change, lifeMinutes: mean.value };
    ways[side] = way;
    const at = (lifeMinutes: number) => costOfWay({ ...way, lifeMinutes }, minute).all;
    likely[side] = { from: at(mean.to), to: at(mean.from) };
  }
  const { first, second } = ways;
  if (!first || !second || !likely.first || !likely.second) return '';
  const lasting = (way: Way, side: Side, limit: 'from' | 'to'): Way => ({
    ...way,
    lifeMinutes: beside.compared.means[side]?.[limit] ?? way.lifeMinutes,
  });
  const atLimits = (long: Side) =>
    whichPays(
      lasting(first, 'first', long === 'first' ? 'to' : 'from'),
      lasting(second, 'second', long === 'second' ? 'to' : 'from'),
      minute,
    );
  return {
    pays: whichPays(first, second, minute, litre),
    once: { first: first.once, second: second.once },
    likely: { first: likely.first, second: likely.second },
    atLimits: { first: atLimits('first'), second: atLimits('second') },
  };
}

const verdict = ({ always, from }: Pays, names: Record<Side, string>): string =>
  always
    ? `${names[always]} pays, however many are made.`
    : from
      ? `${names[from.side]} pays from ${from.parts} parts on, the other below.`
      : 'They cost alike.';

const W = 420;
const H = 190;
const M = { left: 56, right: 70, top: 14, bottom: 34 };

/** What all parts cost by each, over how many are made: where the lines cross the one begins to pay. */
function PaysChart({
  pays,
  once,
  names,
}: {
  pays: Pays;
  once: Record<Side, number>;
  names: Record<Side, string>;
}) {
  const right = pays.from ? Math.max(10, 2 * pays.from.parts) : 100;
  const all = (side: Side, n: number) => once[side] + n * pays[side].all;
  const x = scaleLinear([0, right], [M.left, W - M.right]);
  const top = Math.max(all('first', right), all('second', right));
  const y = scaleLinear([0, top], [H - M.bottom, M.top]).nice(3);
  const path = lineOf<[number, number]>(
    ([n]) => x(n),
    ([, cost]) => y(cost),
  );
  const strokes = { first: 'var(--accent)', second: 'var(--rust)' };
  return (
    <figure style={{ margin: '6px 0 10px' }}>
      <svg
        viewBox={`0 0 ${W} ${H}`}
        width="100%"
        style={{ maxWidth: W }}
        role="img"
        aria-label={`What all parts cost by ${names.first} and by ${names.second}, against how many are made`}
      >
        <Axes x={x} y={y} ticks={[4, 3]} words={(t) => t.toFixed(0)} />
        {SIDES.map((side) => (
          <g key={side}>
            <path
              d={
                path([
                  [0, all(side, 0)],
                  [right, all(side, right)],
                ]) ?? ''
              }
              fill="none"
              stroke={strokes[side]}
              strokeWidth="2"
              strokeDasharray={side === 'second' ? '8 4' : undefined}
            />
            <text
              x={x(right) + 4}
              y={y(all(side, right)) + 4}
              fontSize="11"
              fill={strokes[side]}
              className="fig"
            >
              {names[side]}
            </text>
          </g>
        ))}
        {pays.from && (
          <line
            x1={x(pays.from.parts)}
            x2={x(pays.from.parts)}
            y1={H - M.bottom}
            y2={y(all(pays.from.side, pays.from.parts))}
            stroke="var(--soft)"
            strokeDasharray="2 4"
          />
        )}
      </svg>
      <figcaption className="soft small">What all of them cost, over how many parts are made</figcaption>
    </figure>
  );
}
