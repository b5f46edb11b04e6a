'use client';
import { line, scaleLinear } from 'd3';
import { type CutterGeometry, flatStepover, ridgeHeight } from '@/core/cutters';
import { useLengths } from '@/ui/shell';

const WIDTH = 300;
const HEIGHT = 120;
const LEFT = 46;
const BOTTOM = 26;
const POINTS = 60;

/** Ridge height against stepover, up to where a tenth of DC lies beyond the flat: what matters for a finish. */
export function RidgeChart({ cutter, tried }: { cutter: CutterGeometry; tried: number | null }) {
  const { show, unitWord } = useLengths();
  const flat = flatStepover(cutter);
  if (flat === null) return null;
  const upTo = Math.min(
    cutter.DC,
    Math.max(flat + 0.3 * (cutter.DC - flat), tried !== null && tried <= cutter.DC ? tried * 1.1 : 0),
  );
  const points = Array.from({ length: POINTS + 1 }, (_, i) => {
    const s = (upTo * Math.max(i, 0.001)) / POINTS;
    return [s, ridgeHeight(cutter, s)] as const;
  }).filter((p): p is readonly [number, number] => p[1] !== null);
  const top = points.at(-1)?.[1] ?? 0;
  if (top <= 0) return null;
  const x = scaleLinear([0, upTo], [LEFT, WIDTH - 6]);
  const y = scaleLinear([0, top], [HEIGHT - BOTTOM, 8]);
  const path = line<readonly [number, number]>(
    (p) => x(p[0]),
    (p) => y(p[1]),
  )(points);
  const at = tried !== null && tried <= upTo ? ridgeHeight(cutter, tried) : null;
  return (
    <figure style={{ margin: '6px 0 10px' }}>
      <svg
        width={WIDTH}
        height={HEIGHT}
        role="img"
        aria-label={`Ridge height against stepover, ${show(top)} ${unitWord} at ${show(upTo, 2)} ${unitWord}`}
      >
        <path d={`M${LEFT} 8V${HEIGHT - BOTTOM}H${WIDTH - 6}`} fill="none" stroke="var(--line)" />
        {[top / 2, top].map((t) => (
          <text
            key={t}
            x={LEFT - 5}
            y={y(t) + 4}
            textAnchor="end"
            fontSize="11"
            fill="var(--soft)"
            className="fig"
          >
            {show(t)}
          </text>
        ))}
        {[upTo / 2, upTo].map((t) => (
          <text
            key={t}
            x={x(t)}
            y={HEIGHT - BOTTOM + 14}
            textAnchor={t === upTo ? 'end' : 'middle'}
            fontSize="11"
            fill="var(--soft)"
            className="fig"
          >
            {show(t, 2)}
          </text>
        ))}
        <path d={path ?? ''} fill="none" stroke="var(--accent)" strokeWidth="2" />
        {at !== null && tried !== null && <circle cx={x(tried)} cy={y(at)} r="4" fill="var(--accent)" />}
      </svg>
      <figcaption className="soft small">Ridge against stepover, {unitWord}</figcaption>
    </figure>
  );
}
