import { area, line, scaleLinear } from 'd3';
import { amountWords, MEASURES } from '@/core/life';
import { last } from '@/core/sure';
import type { LifeSheet } from '@/crib/life';
import { bandCorners, type CurvePoint, staircase, survivalAt, weibullPoints } from './survivalPath';

const W = 640;
const H = 330;
const M = { left: 54, right: 92, top: 18, bottom: 74 };
/** The interval of the next life is drawn to so many times the longest one; past that an arrow goes on. */
const NEXT_AT_MOST = 1.7;

/**
 * How many of a cutter's lives had not failed after so many minutes, or holes or metres where they are counted so: failures are
 * steps, censored lives ticks, the curve's limits a shade, the Weibull law a thin line; below, between which minutes the next one will fail.
 */
export function SurvivalChart({ life }: { life: LifeSheet }) {
  // What is held beside another is held so in minutes, by which both are judged.
  const counted = life.beside ? null : life.counted;
  const { beside } = life;
  const measure = counted?.measure ?? 'minutes';
  const { next, weibull, steps, band, median } = counted ?? life;
  const lives = life.records.flatMap((l) => {
    const amount = counted ? counted.amounts[l.edgeSetId] : l.minutes;
    return amount === undefined ? [] : [{ ...l, amount }];
  });
  const longest = Math.max(...lives.map((l) => l.amount));
  const upTo = Math.max(
    (beside?.longest ?? 0) * 1.04,
    longest * 1.04,
    next ? Math.min(next.to * 1.02, longest * NEXT_AT_MOST) : 0,
  );
  const x = scaleLinear([0, upTo], [M.left, W - M.right]).nice();
  const right = last(x.domain());
  const y = scaleLinear([0, 1], [H - M.bottom, M.top]);
  const path = line<CurvePoint>(
    (p) => x(p.minutes),
    (p) => y(p.survival),
  );
  const shade = area<ReturnType<typeof bandCorners>[number]>(
    (p) => x(p.minutes),
    (p) => y(p.lower),
    (p) => y(p.upper),
  );
  const expected = counted ? null : life.expectation;
  const half = median && 'median' in median ? median.median : null;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      width="100%"
      style={{ maxWidth: W }}
      role="img"
      aria-label={`Lives of ${life.item.code} in ${life.material.code}: share not yet failed against ${MEASURES[measure].words}`}
    >
      {y.ticks(4).map((t) => (
        <g key={t}>
          <line x1={M.left} x2={W - M.right} y1={y(t)} y2={y(t)} stroke="var(--line)" strokeWidth="0.8" />
          <text x={M.left - 8} y={y(t) + 4} textAnchor="end" fontSize="12" fill="var(--soft)" className="fig">
            {Math.round(t * 100)} %
          </text>
        </g>
      ))}
      {x.ticks(6).map((t) => (
        <text
          key={t}
          x={x(t)}
          y={H - M.bottom + 18}
          textAnchor="middle"
          fontSize="12"
          fill="var(--soft)"
          className="fig"
        >
          {t}
        </text>
      ))}
      <text
        x={(M.left + W - M.right) / 2}
        y={H - M.bottom + 36}
        textAnchor="middle"
        fontSize="12.5"
        fill="var(--soft)"
      >
        {MEASURES[measure].words}
      </text>
      <text x={M.left} y={12} fontSize="12.5" fill="var(--soft)">
        not yet failed
      </text>
      <path d={shade(bandCorners(band, longest)) ?? ''} fill="var(--accent-soft)" opacity="0.8" />
      {weibull && (
        <path
          d={path(weibullPoints(weibull, right)) ?? ''}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.2"
          strokeDasharray="1 3"
          strokeLinecap="round"
        />
      )}
      <path d={path(staircase(steps, longest)) ?? ''} fill="none" stroke="var(--accent)" strokeWidth="2.4" />
      {beside && (
        <g>
          <path
            d={path(staircase(beside.steps, beside.longest)) ?? ''}
            fill="none"
            stroke="var(--rust)"
            strokeWidth="2"
            strokeDasharray="8 4"
          />
          <text
            x={x(beside.longest) + 5}
            y={y(survivalAt(beside.steps, beside.longest)) - 4}
            fontSize="12"
            fill="var(--rust)"
            className="fig"
          >
            {beside.code}
          </text>
        </g>
      )}
      {lives.map((l) =>
        l.counts === 'failure' ? (
          <circle
            key={l.edgeSetId}
            cx={x(l.amount)}
            cy={y(survivalAt(steps, l.amount))}
            r="4"
            fill="var(--rust)"
          >
            <title>{`${l.mark}: ${l.ended}, ${amountWords(l.amount, measure)}`}</title>
          </circle>
        ) : (
          <line
            key={l.edgeSetId}
            x1={x(l.amount)}
            x2={x(l.amount)}
            y1={y(survivalAt(steps, l.amount)) - 7}
            y2={y(survivalAt(steps, l.amount)) + 7}
            stroke="var(--ink)"
            strokeWidth="2"
          >
            <title>{`${l.mark}: ${l.ended ?? 'still running'}, ${amountWords(l.amount, measure)}`}</title>
          </line>
        ),
      )}
      {half !== null && (
        <g>
          <line x1={M.left} x2={x(half)} y1={y(0.5)} y2={y(0.5)} stroke="var(--soft)" strokeDasharray="2 4" />
          <line x1={x(half)} x2={x(half)} y1={y(0.5)} y2={y(0)} stroke="var(--soft)" strokeDasharray="2 4" />
          <text x={x(half) + 5} y={y(0) - 8} fontSize="12" fill="var(--soft)">
            median
          </text>
        </g>
      )}
      {expected && expected.minutes !== null && expected.minutes <= right && (
        <g>
          <line
            x1={x(expected.minutes)}
            x2={x(expected.minutes)}
            y1={y(1)}
            y2={y(0)}
            stroke="var(--brass)"
            strokeWidth="1.6"
            strokeDasharray="7 4"
          />
          <text x={x(expected.minutes) + 5} y={y(1) + 12} fontSize="12" fill="var(--brass)">
            {expected.basis}
          </text>
        </g>
      )}
      {next && <NextBar next={next} unit={MEASURES[measure].unit} x={x} right={right} />}
      <g transform={`translate(${W - M.right + 8} ${H - M.bottom - 78})`} fontSize="12" fill="var(--soft)">
        <circle cx="4" cy="-4" r="4" fill="var(--rust)" />
        <text x="14">failed</text>
        <line x1="4" x2="4" y1="10" y2="24" stroke="var(--ink)" strokeWidth="2" />
        <text x="14" y="21">
          not failed
        </text>
        <rect x="0" y="31" width="9" height="11" fill="var(--accent-soft)" />
        <text x="14" y="41">
          95 % limits
        </text>
        {weibull && (
          <>
            <path
              d="M0 57H10"
              stroke="var(--ink)"
              strokeWidth="1.6"
              strokeDasharray="1 3"
              strokeLinecap="round"
            />
            <text x="14" y="61">
              Weibull
            </text>
          </>
        )}
      </g>
    </svg>
  );
}

/** Between which minutes, or holes, the next life will fail, as a bar with its middle; it goes on as an arrow past the picture. */
function NextBar({
  next,
  unit,
  x,
  right,
}: {
  next: NonNullable<LifeSheet['next']>;
  unit: string;
  x: (minutes: number) => number;
  right: number;
}) {
  const at = H - 20;
  const beyond = next.to > right;
  const to = x(Math.min(next.to, right));
  return (
    <g fontSize="12" fill="var(--soft)">
      <text x={M.left - 8} y={at + 4} textAnchor="end">
        next
      </text>
      <line x1={x(next.from)} x2={to} y1={at} y2={at} stroke="var(--accent)" strokeWidth="6" opacity="0.55" />
      {beyond && <path d={`M${to} ${at - 6}l9 6l-9 6z`} fill="var(--accent)" opacity="0.55" />}
      {next.middle <= right && (
        <line
          x1={x(next.middle)}
          x2={x(next.middle)}
          y1={at - 7}
          y2={at + 7}
          stroke="var(--ink)"
          strokeWidth="2"
        >
          <title>{`as likely before as after ${next.middle.toFixed(0)} ${unit}`}</title>
        </line>
      )}
      <text x={(x(next.from) + to) / 2} y={at + 18} textAnchor="middle" className="fig">
        {nextWords(next, unit)}
      </text>
    </g>
  );
}

/** Example: '90 % between 22 and 71 min'. */
const nextWords = ({ chance, from, to }: NonNullable<LifeSheet['next']>, unit: string): string =>
  `${Math.round(chance * 100)} % between ${from.toFixed(0)} and ${to.toFixed(0)} ${unit}`;
