import { line, scaleLinear } from 'd3';
import { last } from '@/core/sure';
import type { LifeSheet } from '@/crib/life';
import { type CurvePoint, staircase, survivalAt } from './survivalPath';

const W = 640;
const H = 300;
const M = { left: 54, right: 92, top: 18, bottom: 44 };

/** How many of a cutter's lives had not failed after so many minutes: failures are steps, censored lives ticks. */
export function SurvivalChart({ life }: { life: LifeSheet }) {
  const longest = Math.max(...life.records.map((l) => l.minutes));
  const x = scaleLinear([0, longest * 1.04], [M.left, W - M.right]).nice();
  const y = scaleLinear([0, 1], [H - M.bottom, M.top]);
  const path = line<CurvePoint>(
    (p) => x(p.minutes),
    (p) => y(p.survival),
  );
  const expected = life.expectation;
  const half = life.median && 'median' in life.median ? life.median.median : null;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      width="100%"
      style={{ maxWidth: W }}
      role="img"
      aria-label={`Lives of ${life.item.code} in ${life.material.code}: share not yet failed against minutes in the cut`}
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
      <text x={(M.left + W - M.right) / 2} y={H - 6} textAnchor="middle" fontSize="12.5" fill="var(--soft)">
        minutes in the cut
      </text>
      <text x={M.left} y={12} fontSize="12.5" fill="var(--soft)">
        not yet failed
      </text>
      <path
        d={path(staircase(life.steps, longest)) ?? ''}
        fill="none"
        stroke="var(--accent)"
        strokeWidth="2.4"
      />
      {life.records.map((l) =>
        l.counts === 'failure' ? (
          <circle
            key={l.edgeSetId}
            cx={x(l.minutes)}
            cy={y(survivalAt(life.steps, l.minutes))}
            r="4"
            fill="var(--rust)"
          >
            <title>{`${l.mark}: ${l.ended}, ${l.minutes.toFixed(1)} min`}</title>
          </circle>
        ) : (
          <line
            key={l.edgeSetId}
            x1={x(l.minutes)}
            x2={x(l.minutes)}
            y1={y(survivalAt(life.steps, l.minutes)) - 7}
            y2={y(survivalAt(life.steps, l.minutes)) + 7}
            stroke="var(--ink)"
            strokeWidth="2"
          >
            <title>{`${l.mark}: ${l.ended ?? 'still running'}, ${l.minutes.toFixed(1)} min`}</title>
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
      {expected && expected.minutes !== null && expected.minutes <= last(x.domain()) && (
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
      <g transform={`translate(${W - M.right + 8} ${H - M.bottom - 34})`} fontSize="12" fill="var(--soft)">
        <circle cx="4" cy="-4" r="4" fill="var(--rust)" />
        <text x="14">failed</text>
        <line x1="4" x2="4" y1="10" y2="24" stroke="var(--ink)" strokeWidth="2" />
        <text x="14" y="21">
          not failed
        </text>
      </g>
    </svg>
  );
}
