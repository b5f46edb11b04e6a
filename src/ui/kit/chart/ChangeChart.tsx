import { line, scaleLinear } from 'd3';
import type { WhenToChange } from '@/core/life';
import { Axes } from './Axes';

const W = 300;
const H = 170;
const M = { left: 46, right: 10, top: 16, bottom: 34 };
/** So many times what running to the sign costs, and no more, is drawn: an edge changed at once costs without end. */
const AT_MOST = 2;

/** Cost against the age of a planned change: the curve, running to the sign as a line, where it is flat as a bar. */
export function ChangeChart({ change, per }: { change: WhenToChange; per: string }) {
  const shown = change.curve.filter((p) => p.cost <= change.runToSign * AT_MOST);
  const right = change.curve.at(-1)?.minutes ?? 1;
  const x = scaleLinear([0, right], [M.left, W - M.right]).nice(4);
  const y = scaleLinear([0, change.runToSign * AT_MOST], [H - M.bottom, M.top]).nice(3);
  const path = line<(typeof shown)[number]>(
    (p) => x(p.minutes),
    (p) => y(p.cost),
  )(shown);
  const end = x.domain()[1] ?? right;
  return (
    <figure style={{ margin: '6px 0 10px' }}>
      <svg
        width={W}
        height={H}
        role="img"
        aria-label={`Cost ${per} against the minutes at which it is changed`}
      >
        <Axes x={x} y={y} ticks={[4, 3]} words={(t) => t.toFixed(2)} />
        {change.flat && (
          <rect
            x={x(change.flat.from)}
            width={x(Math.min(change.flat.to ?? end, end)) - x(change.flat.from)}
            y={M.top}
            height={H - M.bottom - M.top}
            fill="var(--accent-soft)"
            opacity="0.7"
          />
        )}
        <line
          x1={M.left}
          x2={W - M.right}
          y1={y(change.runToSign)}
          y2={y(change.runToSign)}
          stroke="var(--soft)"
          strokeDasharray="6 3"
        />
        <text x={W - M.right} y={y(change.runToSign) - 5} textAnchor="end" fontSize="11" fill="var(--soft)">
          run to the sign
        </text>
        <path d={path ?? ''} fill="none" stroke="var(--accent)" strokeWidth="2" />
        {change.minutes !== null && (
          <circle cx={x(change.minutes)} cy={y(change.cost)} r="4.5" fill="var(--accent)" />
        )}
      </svg>
      <figcaption className="soft small">
        Cost {per} over the minutes at which it is changed{change.flat ? '; shaded: as good, within 2 %' : ''}
      </figcaption>
    </figure>
  );
}
