'use client';
import { scaleLinear } from 'd3';
import type { AssemblyView } from '@/crib/rack';
import { Axes } from '@/ui/kit/chart';
import { useLengths } from '@/ui/shell';

const W = 300;
const H = 170;
const M = { left: 40, right: 12, top: 14, bottom: 34 };

/**
 * Flank wear of one edge over its minutes: readings as dots (those of running in hollow), the line through the steady ones
 * to the criterion, and below between which minutes a reading would be at it. Nothing is drawn past what is known.
 */
export function WearChart({ card }: { card: AssemblyView }) {
  const { show, unitWord } = useLengths();
  const { wear, life } = card;
  const points = [...wear.runningIn, ...wear.steady];
  const all = wear.readings.filter((r) => r.flankWearMm !== null);
  if (all.length === 0) return null;
  const crossing = wear.crossing;
  const at = crossing?.minutes ?? null;
  const last = Math.max(life.minutes, ...all.map((r) => r.minutes));
  // A crossing far off is not drawn to: it would press the readings into a corner.
  const far = at !== null && at < last * 4 ? Math.max(at * 1.08, last) : last * 1.15;
  const x = scaleLinear([0, Math.max(1, far)], [M.left, W - M.right]).nice(4);
  const top = Math.max(wear.limitMm * 1.15, ...all.map((r) => r.flankWearMm ?? 0));
  const y = scaleLinear([0, top], [H - M.bottom, M.top]);
  const right = x.domain()[1] ?? far;
  const from = wear.steady[0]?.minutes ?? 0;
  const on = (m: number) => (crossing ? crossing.line.intercept + crossing.line.slope * m : 0);
  const until = at === null ? last : Math.min(at, right);
  const band = crossing?.ofAReading ?? null;
  return (
    <figure style={{ margin: '6px 0 10px' }}>
      <svg
        width={W}
        height={H}
        role="img"
        aria-label={`Flank wear of ${card.tag} against minutes in the cut, worn at ${show(wear.limitMm, 2)} ${unitWord}`}
      >
        <Axes x={x} y={y} ticks={[4, 3]} words={(t) => show(t, 2)} />
        <line
          x1={M.left}
          x2={W - M.right}
          y1={y(wear.limitMm)}
          y2={y(wear.limitMm)}
          stroke="var(--rust)"
          strokeDasharray="6 3"
        />
        <text x={M.left + 4} y={y(wear.limitMm) - 4} fontSize="11" fill="var(--rust)">
          worn
        </text>
        {crossing && (
          <line
            x1={x(from)}
            x2={x(until)}
            y1={y(on(from))}
            y2={y(on(until))}
            stroke="var(--accent)"
            strokeWidth="1.6"
          />
        )}
        {band && band[0] < right && (
          <line
            x1={x(Math.max(0, band[0]))}
            x2={x(Math.min(band[1], right))}
            y1={y(wear.limitMm)}
            y2={y(wear.limitMm)}
            stroke="var(--accent)"
            strokeWidth="7"
            opacity="0.4"
          />
        )}
        <line
          x1={x(life.minutes)}
          x2={x(life.minutes)}
          y1={H - M.bottom}
          y2={H - M.bottom - 8}
          stroke="var(--ink)"
          strokeWidth="2"
        />
        {points.map((p) => (
          <circle
            key={p.minutes}
            cx={x(p.minutes)}
            cy={y(p.wearMm)}
            r="4"
            fill={wear.steady.includes(p) ? 'var(--accent)' : 'var(--sheet)'}
            stroke="var(--accent)"
            strokeWidth="1.5"
          >
            <title>{`${show(p.wearMm, 3)} ${unitWord} at ${p.minutes.toFixed(1)} min`}</title>
          </circle>
        ))}
      </svg>
      <figcaption className="soft small">
        Flank wear, {unitWord}, over minutes in the cut; the tick is now
        {band ? ', the broad line where 95 % of readings would be at it' : ''}
        {wear.runningIn.length > 0 ? '; hollow: running in' : ''}
      </figcaption>
    </figure>
  );
}
