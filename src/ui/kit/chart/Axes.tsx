import type { ScaleLinear } from 'd3';

/** The two axes of a small chart with their figures, within the frame its scales are drawn in. */
export function Axes({
  x,
  y,
  ticks: [across, up],
  words,
}: {
  x: ScaleLinear<number, number>;
  y: ScaleLinear<number, number>;
  /** About so many figures on each. */
  ticks: readonly [across: number, up: number];
  /** A figure on the axis that goes up. */
  words: (value: number) => string;
}) {
  const [left, right] = [Math.min(...x.range()), Math.max(...x.range())];
  const [top, bottom] = [Math.min(...y.range()), Math.max(...y.range())];
  return (
    <g fontSize="11" fill="var(--soft)" className="fig">
      <path d={`M${left} ${top}V${bottom}H${right}`} fill="none" stroke="var(--line)" />
      {y.ticks(up).map((t) => (
        <text key={t} x={left - 5} y={y(t) + 4} textAnchor="end">
          {words(t)}
        </text>
      ))}
      {x.ticks(across).map((t) => (
        <text key={t} x={x(t)} y={bottom + 14} textAnchor="middle">
          {t}
        </text>
      ))}
    </g>
  );
}
