'use client';
import { scaleLinear } from 'd3';
import type { HolderSheet } from '@/crib/holders';
import { Axes } from '@/ui/kit/chart';
import { useLengths } from '@/ui/shell';

const W = 300;
const H = 160;
const M = { left: 46, right: 12, top: 14, bottom: 34 };

/** Runout at the tip over the clampings of one holder; the line through it where it grows, and the limit on the bar. */
export function RunoutChart({ holder }: { holder: HolderSheet }) {
  const { show, unitWord } = useLengths();
  const points = holder.clamped.flatMap((k) => (k.runoutMm === null ? [] : [{ ...k, runoutMm: k.runoutMm }]));
  if (points.length < 2) return null;
  const { trend, rule } = holder;
  const last = Math.max(...holder.clamped.map((k) => k.nth));
  const first = Math.min(...points.map((k) => k.nth));
  // A crossing far off is not drawn to: it would press the dots into a corner.
  const end = trend?.reaches != null && trend.reaches < last * 3 ? trend.reaches * 1.08 : last + 1;
  const x = scaleLinear([Math.min(1, first), end], [M.left, W - M.right]).nice(4);
  const top = Math.max(rule.runoutMm * 1.2, ...points.map((p) => p.runoutMm));
  const y = scaleLinear([0, top], [H - M.bottom, M.top]);
  const on = (k: number) => (trend ? trend.intercept + trend.slope * k : 0);
  const right = x.domain()[1] ?? end;
  const until = Math.min(trend?.reaches ?? last, right);
  return (
    <figure style={{ margin: '6px 0 10px' }}>
      <svg
        width={W}
        height={H}
        role="img"
        aria-label={`Runout of ${holder.mark} over its clampings, at most ${show(rule.runoutMm, 3)} ${unitWord}`}
      >
        <Axes x={x} y={y} ticks={[4, 3]} words={(t) => show(t, 3)} />
        <line
          x1={M.left}
          x2={W - M.right}
          y1={y(rule.runoutMm)}
          y2={y(rule.runoutMm)}
          stroke="var(--rust)"
          strokeDasharray="6 3"
        />
        {trend?.grows && (
          <line
            x1={x(first)}
            x2={x(until)}
            y1={y(on(first))}
            y2={y(on(until))}
            stroke="var(--accent)"
            strokeWidth="1.6"
          />
        )}
        {points.map((p) => (
          <circle key={p.nth} cx={x(p.nth)} cy={y(p.runoutMm)} r="3.5" fill="var(--accent)">
            <title>{`${show(p.runoutMm, 3)} ${unitWord}, ${p.cutter} in ${p.tag}`}</title>
          </circle>
        ))}
      </svg>
      <figcaption className="soft small">
        Runout at the tip, {unitWord}, over clampings; the dashed line is the limit on a test bar.{' '}
        {trend === null
          ? 'Too few were measured to say whether it grows.'
          : trend.grows
            ? trend.reaches === null
              ? 'It grows.'
              : `It grows, and comes to the limit at about clamping ${Math.round(trend.reaches)}${
                  trend.between ? ` (${Math.round(trend.between[0])} to ${Math.round(trend.between[1])})` : ''
                }.`
            : 'It goes up and down by cutter, collet and stickout; that it grows can’t be said.'}
      </figcaption>
    </figure>
  );
}
