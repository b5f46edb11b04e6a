'use client';
import { scaleLinear } from 'd3';
import type { AssemblyView } from '@/crib/rack';
import { Axes } from '@/ui/kit/chart';
import { useLengths } from '@/ui/shell';

const W = 300;
const H = 170;
const M = { left: 50, right: 12, top: 14, bottom: 34 };

/**
 * Holes that were measured over how many the edge had made, between their limits; the line through them to the limit it goes to,
 * and there the stretch in which 95 % of holes would be at it. What was only gauged stands as a tick, crossed where it did not pass.
 */
export function SizeChart({
  card,
  size,
}: {
  card: AssemblyView;
  size: NonNullable<AssemblyView['wear']['size']>;
}) {
  const { show, unitWord } = useLengths();
  const { readings } = card.wear;
  const points = readings.flatMap((r) =>
    r.holeMm === null || r.holes === null ? [] : [{ holes: r.holes, mm: r.holeMm, entryId: r.entryId }],
  );
  const gauged = readings.flatMap((r) =>
    r.holeMm !== null || r.gauge === null || r.holes === null
      ? []
      : [{ holes: r.holes, gauge: r.gauge, entryId: r.entryId }],
  );
  if (points.length === 0) return null;
  const { least, most, crossing, line, towards } = size;
  const last = Math.max(...[...points, ...gauged].map((p) => p.holes));
  // A crossing far off is not drawn to: it would press the holes into a corner.
  const far =
    crossing && crossing.holes > 0 && crossing.holes < last * 4
      ? Math.max(crossing.holes * 1.1, last)
      : last * 1.15;
  // What was first measured late would stand pressed into a corner.
  const first = Math.min(...[...points, ...gauged].map((p) => p.holes));
  const x = scaleLinear([first > last / 2 ? first * 0.95 : 0, Math.max(1, far)], [M.left, W - M.right]).nice(
    4,
  );
  const all = [least, most, ...points.map((p) => p.mm)];
  const room = (Math.max(...all) - Math.min(...all)) * 0.15;
  const y = scaleLinear([Math.min(...all) - room, Math.max(...all) + room], [H - M.bottom, M.top]);
  const right = x.domain()[1] ?? far;
  const limit = towards === 'most' ? most : least;
  const until = Math.max(0, Math.min(crossing?.holes ?? last, right));
  const band = crossing?.between ?? null;
  return (
    <figure style={{ margin: '6px 0 10px' }}>
      <svg
        width={W}
        height={H}
        role="img"
        aria-label={`Holes of ${card.tag}, measured, over how many it made: ${show(least, 3)} to ${show(most, 3)} ${unitWord}`}
      >
        <Axes x={x} y={y} ticks={[4, 3]} words={(t) => show(t, 3)} />
        {[least, most].map((at) => (
          <line
            key={at}
            x1={M.left}
            x2={W - M.right}
            y1={y(at)}
            y2={y(at)}
            stroke="var(--rust)"
            strokeDasharray="6 3"
          />
        ))}
        {line && towards && (
          <line
            x1={x(points[0]?.holes ?? 0)}
            x2={x(until)}
            y1={y(line.intercept + line.slope * (points[0]?.holes ?? 0))}
            y2={y(line.intercept + line.slope * until)}
            stroke="var(--accent)"
            strokeWidth="1.6"
          />
        )}
        {band && band[0] < right && (
          <line
            x1={x(Math.max(0, band[0]))}
            x2={x(Math.min(band[1], right))}
            y1={y(limit)}
            y2={y(limit)}
            stroke="var(--accent)"
            strokeWidth="7"
            opacity="0.4"
          />
        )}
        {gauged.map((g) => (
          <g key={g.entryId} stroke={g.gauge === 'passes' ? 'var(--ink)' : 'var(--rust)'} strokeWidth="2">
            <line x1={x(g.holes)} x2={x(g.holes)} y1={H - M.bottom} y2={H - M.bottom - 8} />
            {g.gauge !== 'passes' && (
              <line x1={x(g.holes) - 4} x2={x(g.holes) + 4} y1={H - M.bottom - 8} y2={H - M.bottom} />
            )}
          </g>
        ))}
        {points.map((p) => (
          <circle key={p.entryId} cx={x(p.holes)} cy={y(p.mm)} r="4" fill="var(--accent)">
            <title>{`${show(p.mm, 3)} ${unitWord} after ${p.holes} holes`}</title>
          </circle>
        ))}
      </svg>
      <figcaption className="soft small">
        Size of its holes, {unitWord}, over holes made; dashed are the limits
        {band ? ', the broad line where 95 % of holes would be at one' : ''}
        {gauged.length > 0 ? '; a tick was gauged, crossed where it did not pass' : ''}
      </figcaption>
    </figure>
  );
}
