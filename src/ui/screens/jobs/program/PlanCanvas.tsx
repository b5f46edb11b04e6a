'use client';
import { useColorScheme } from '@mui/material/styles';
import { ticks } from 'd3';
import { type MouseEvent, useEffect, useRef, useState } from 'react';
import { type Extent, nearestDot } from '@/core/programs';
import { useLengths } from '@/ui/shell';
import { paintPlan } from './paintPlan';
import styles from './Path.module.css';
import type { Drawn } from './picture';

/** What the picture shows. */
export const PLAN_WORDS = 'From above, the middle of the tool; darker is deeper';

/** So near to a way the pointer means it, in dots. */
const NEAR = 14;

/** The path from above, drawn as it is read; the stock about it, zero in it. */
export function PlanCanvas({
  plan,
  stock,
  line,
  onLine,
}: {
  plan: Drawn['plan'];
  /** The stock in the program's coordinates; null: not known. */
  stock: { x: Extent; y: Extent } | null;
  /** The line that is shown; null: none. */
  line: number | null;
  onLine?: (line: number) => void;
}) {
  const { show, unitWord } = useLengths();
  const { mode, systemMode } = useColorScheme();
  const canvas = useRef<HTMLCanvasElement>(null);
  const [at, setAt] = useState<{ column: number; row: number } | null>(null);
  const { frame, lines, lowest } = plan;
  const { left, top, dot, width, height } = frame;
  useEffect(() => {
    const drawn = canvas.current?.getContext('2d');
    if (!canvas.current || !drawn) return;
    const style = getComputedStyle(canvas.current);
    const named = (name: string) => style.getPropertyValue(name).trim();
    const image = drawn.createImageData(width, height);
    const colours = { paper: named('--sheet'), faint: named('--steel'), cut: named('--accent') };
    paintPlan(plan, colours, image.data);
    drawn.putImageData(image, 0, 0);
  }, [plan, width, height, mode, systemMode]);

  const placeOf = (event: MouseEvent<HTMLElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    return {
      column: Math.floor(((event.clientX - box.left) / box.width) * width),
      row: Math.floor(((event.clientY - box.top) / box.height) * height),
    };
  };
  const nearTo = (of: { column: number; row: number } | null) => {
    const found = of && nearestDot(plan, of.column, of.row, NEAR);
    return found === null ? null : { line: lines[found] ?? 0, z: lowest[found] ?? Infinity };
  };
  const near = nearTo(at);
  // By where it is pressed: a finger does not hover before.
  const pressed = (event: MouseEvent<HTMLElement>) => {
    const there = nearTo(placeOf(event));
    if (there) onLine?.(there.line);
  };
  const place = line === null ? -1 : lines.indexOf(line);
  const [, aScale = 0] = ticks(0, width * dot * 0.3, 2);
  const dots = (mm: number) => mm / dot;
  const zero = { x: dots(-left), y: dots(top) };
  return (
    <figure className={styles.plan}>
      {/* What is pointed at here stands in words beside, and each line of it in the tag. */}
      <div
        className={styles.canvas}
        onPointerMove={(event) => setAt(placeOf(event))}
        onPointerLeave={() => setAt(null)}
        onClick={pressed}
        style={{ cursor: near && onLine ? 'pointer' : 'crosshair' }}
      >
        <canvas
          ref={canvas}
          width={width}
          height={height}
          role="img"
          aria-label={`The path from above: ${show(width * dot, 0)} by ${show(height * dot, 0)} ${unitWord} are shown`}
        />
        <svg viewBox={`0 0 ${width} ${height}`} aria-hidden>
          {stock && (
            <rect
              className={styles.stock}
              x={dots(stock.x.least - left)}
              y={dots(top - stock.y.most)}
              width={dots(stock.x.most - stock.x.least)}
              height={dots(stock.y.most - stock.y.least)}
            />
          )}
          <path className={styles.zero} d={`M${zero.x - 16} ${zero.y}h32M${zero.x} ${zero.y - 16}v32`} />
          {place >= 0 && (
            <circle className={styles.shown} cx={place % width} cy={Math.floor(place / width)} r={13} />
          )}
          {aScale > 0 && (
            <g className={styles.scale}>
              <path d={`M20 ${height - 22}v8h${dots(aScale)}v-8`} />
              <text x={26} y={height - 26}>
                {show(aScale, aScale < 1 ? 2 : 0)} {unitWord}
              </text>
            </g>
          )}
        </svg>
      </div>
      <figcaption className="small soft" aria-live="off">
        {near ? (
          <>
            line <span className="fig">{near.line}</span>
            {near.z < Infinity && (
              <>
                , Z <span className="fig">{show(near.z, 2)}</span>
              </>
            )}
          </>
        ) : (
          PLAN_WORDS
        )}
      </figcaption>
    </figure>
  );
}
