'use client';
import { area, scaleLinear } from 'd3';
import { type MouseEvent, useState } from 'react';
import type { Extent } from '@/core/programs';
import { useLengths } from '@/ui/shell';
import styles from './Path.module.css';
import type { Drawn } from './picture';

/** What the picture shows; `timed`: rapids take their time in it. */
export const depthWords = (timed: boolean): string =>
  `Z over time, ${timed ? 'by feed and rapid rate' : 'by feed; rapids take none'}, without acceleration`;

const WIDTH = 380;
const HEIGHT = 217;
const LEFT = 44;
const TOP = 26;
const BOTTOM = 26;
/** A tool whose time is narrower than this is not named. */
const NAMED = 20;

/** Z over the program's time, tool by tool: at feed from the highest to the lowest of each moment, rapids behind it. */
export function DepthChart({
  drawn: { extents, seconds, depth },
  only,
  stock,
  line,
  timed,
  onLine,
}: {
  drawn: Drawn;
  /** The tool that is shown; null: all. */
  only: number | null;
  /** Top and bottom of the stock; null: not known. */
  stock: Extent | null;
  line: number | null;
  /** Whether rapids take their time. */
  timed: boolean;
  onLine?: (line: number) => void;
}) {
  const { show, unitWord } = useLengths();
  const [near, setNear] = useState<number | null>(null);
  const { columns } = depth;
  if (!extents.z) return null;
  const x = scaleLinear([0, columns], [LEFT, WIDTH - 4]);
  const low = Math.min(extents.z.least, stock?.least ?? Infinity);
  const high = Math.max(extents.z.most, stock?.most ?? -Infinity);
  const y = scaleLinear([low, high], [HEIGHT - BOTTOM, TOP]).nice(5);
  const at = (second: number) => (seconds > 0 ? x((second / seconds) * columns) : LEFT);
  const every = Array.from({ length: columns }, (_, i) => i);
  const shape = (lows: Float32Array, highs: Float32Array) =>
    area<number>(
      (i) => x(i + 0.5),
      (i) => y(lows[i] ?? 0),
      (i) => y(highs[i] ?? 0),
    ).defined((i) => (lows[i] ?? Infinity) < Infinity)(every) ?? undefined;
  const columnOf = (event: MouseEvent<SVGElement>): number | null => {
    const box = event.currentTarget.getBoundingClientRect();
    const column = Math.floor(x.invert(((event.clientX - box.left) / box.width) * WIDTH));
    return column >= 0 && column < columns && depth.lines[column] ? column : null;
  };
  // By where it is pressed: a finger does not hover before.
  const pressed = (event: MouseEvent<SVGElement>) => {
    const line = depth.lines[columnOf(event) ?? -1];
    if (line) onLine?.(line);
  };
  const spanOf = (column: number) => {
    const second = ((column + 0.5) / columns) * seconds;
    return depth.spans.find((s) => s.from <= second && second <= s.to)?.t ?? null;
  };
  const lowest = (column: number) =>
    Math.min(depth.feedLow[column] ?? Infinity, depth.rapidLow[column] ?? Infinity);
  const shownAt = line === null ? -1 : depth.lines.indexOf(line);
  const mark = near ?? (shownAt >= 0 ? shownAt : null);
  return (
    <figure className={styles.depth}>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={`Z over ${(seconds / 60).toFixed(2)} min: from ${show(extents.z.most, 2)} down to ${show(extents.z.least, 2)} ${unitWord}`}
        onPointerMove={(event) => setNear(columnOf(event))}
        onPointerLeave={() => setNear(null)}
        onClick={pressed}
        style={{ cursor: near !== null && onLine ? 'pointer' : 'crosshair' }}
      >
        {stock && (
          <rect
            className={styles.material}
            x={LEFT}
            width={WIDTH - 4 - LEFT}
            y={y(stock.most)}
            height={y(stock.least) - y(stock.most)}
          />
        )}
        {y.ticks(5).map((z) => (
          <g key={z}>
            <path className={z === 0 ? styles.nought : styles.tick} d={`M${LEFT} ${y(z)}H${WIDTH - 4}`} />
            <text x={LEFT - 6} y={y(z) + 4} textAnchor="end" className="fig">
              {show(z, y.ticks(5).some((t) => t % 1 !== 0) ? 1 : 0)}
            </text>
          </g>
        ))}
        {depth.spans.map((s) => (
          <g key={s.from} className={only === null || only === s.t ? undefined : styles.otherTool}>
            <path className={styles.change} d={`M${at(s.from)} ${TOP - 18}V${HEIGHT - BOTTOM}`} />
            {s.t !== null && at(s.to) - at(s.from) > NAMED && (
              <text x={at(s.from) + 4} y={TOP - 8} className="fig">
                T{s.t}
              </text>
            )}
          </g>
        ))}
        <path className={styles.rapid} d={shape(depth.rapidLow, depth.rapidHigh)} />
        <path className={styles.feed} d={shape(depth.feedLow, depth.feedHigh)} />
        {depth.spans
          .filter((s) => only !== null && s.t !== only)
          .map((s) => (
            <rect
              key={s.from}
              className={styles.veil}
              x={at(s.from)}
              width={Math.max(0, at(s.to) - at(s.from))}
              y={TOP}
              height={HEIGHT - TOP - BOTTOM}
            />
          ))}
        {mark !== null && <path className={styles.mark} d={`M${x(mark + 0.5)} ${TOP}V${HEIGHT - BOTTOM}`} />}
        {scaleLinear([0, seconds / 60], [LEFT, WIDTH - 4])
          .ticks(5)
          .slice(1)
          .map((minute) => (
            <text key={minute} x={at(minute * 60)} y={HEIGHT - 8} textAnchor="middle" className="fig">
              {minute}
            </text>
          ))}
        <text x={LEFT} y={HEIGHT - 8}>
          min
        </text>
      </svg>
      <figcaption className="small soft">
        {near !== null ? (
          <>
            line <span className="fig">{depth.lines[near]}</span>
            {spanOf(near) !== null && (
              <>
                , T<span className="fig">{spanOf(near)}</span>
              </>
            )}
            , Z <span className="fig">{show(lowest(near), 2)}</span>, at{' '}
            <span className="fig">{((near / columns) * (seconds / 60)).toFixed(2)}</span> min
          </>
        ) : (
          depthWords(timed)
        )}
      </figcaption>
    </figure>
  );
}
