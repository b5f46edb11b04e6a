'use client';
import Slider from '@mui/material/Slider';
import { useId } from 'react';
import type { AssemblyOutline, StickoutRange, Wall } from '@/core/assemblies';
import styles from './BuildDrawn.module.css';
import { BuildPaths } from './BuildPaths';

const W = 584;
const LEFT = 14;
const MOST_HIGH = 150;
/** Below the outline: where the stickout may lie. */
const BELOW = 26;

/**
 * A build lying, to scale, gauge line at the left. Its tip is taken hold of, with pointer or arrow keys, to set the
 * stickout; below it the stretch in which that is right; a wall beside it where one was described.
 */
export default function BuildDrawn({
  outline,
  stickout,
  longest,
  range,
  wall,
  reachMm,
  show,
  unit,
  onStickout,
}: {
  outline: AssemblyOutline;
  /** mm. */
  stickout: number;
  /** The longest stickout that can be set here, mm: the scale stays while it is dragged. */
  longest: number;
  range: StickoutRange;
  wall: Wall | null;
  /** Reach its job needs, mm from the tip up. */
  reachMm: number | null;
  show: (mm: number, decimals: number) => string;
  unit: 'mm' | 'inch';
  /** null: it is seated, and nobody sets it. */
  onStickout: ((mm: number) => void) | null;
}) {
  const id = useId();
  const face = outline.length - stickout;
  const slope = wall ? Math.tan((wall.draft * Math.PI) / 180) : 0;
  const widest = Math.max(outline.widest, wall ? 2 * (wall.radial + 6) : 0);
  const scale = Math.min((W - 2 * LEFT) / (face + longest), MOST_HIGH / widest);
  const half = (widest / 2) * scale + 6;
  const high = 2 * half + BELOW;
  const x = (z: number) => LEFT + z * scale;
  const least = Math.max(0, range.least ?? 0);
  const most = Math.min(longest, range.most ?? longest);
  return (
    <div className={styles.drawing}>
      <svg viewBox={`0 0 ${W} ${high}`} role="img" aria-label="The build to scale, gauge line at the left">
        <defs>
          <pattern
            id={`${id}w`}
            width="6"
            height="6"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width="1.5" height="6" fill="var(--brass)" />
          </pattern>
        </defs>
        <line x1={x(0)} x2={x(0)} y1="0" y2={2 * half} stroke="var(--ink)" strokeWidth="4" />
        <line
          x1={x(0)}
          x2={x(face + longest)}
          y1={half}
          y2={half}
          stroke="var(--soft)"
          strokeDasharray="14 4 3 4"
        />
        <g transform={`translate(${LEFT} ${half}) rotate(-90)`}>
          <BuildPaths outline={outline} scale={scale} />
        </g>
        {reachMm !== null && reachMm > 0 && (
          <line
            x1={x(outline.length - reachMm)}
            x2={x(outline.length - reachMm)}
            y1="4"
            y2={2 * half - 4}
            stroke="var(--brass)"
            strokeWidth="1.5"
            strokeDasharray="5 4"
          />
        )}
        {wall && (
          <polygon
            points={[
              [x(outline.length), half + wall.radial * scale],
              [x(outline.length - wall.depth), half + (wall.radial + wall.depth * slope) * scale],
              [x(outline.length - wall.depth), 2 * half],
              [x(outline.length), 2 * half],
            ]
              .map(([px, py]) => `${px},${Math.min(py ?? 0, 2 * half)}`)
              .join(' ')}
            fill={`url(#${id}w)`}
            stroke="var(--brass)"
          />
        )}
        {onStickout && (
          <g>
            <line
              x1={x(face)}
              x2={x(face + longest)}
              y1={2 * half + 6}
              y2={2 * half + 6}
              stroke="var(--line)"
              strokeWidth="2"
            />
            {most > least && (
              <line
                x1={x(face + least)}
                x2={x(face + most)}
                y1={2 * half + 6}
                y2={2 * half + 6}
                stroke="var(--accent)"
                strokeWidth="5"
              />
            )}
            <text x={LEFT} y={high - 3} fontSize="12" fill="var(--soft)" className="fig">
              {rangeWords(range, show, most > least)}
            </text>
          </g>
        )}
      </svg>
      {onStickout && (
        <Slider
          className={styles.set}
          style={{ left: `${(100 * x(face)) / W}%`, width: `${(100 * longest * scale) / W}%` }}
          min={0}
          max={longest}
          step={unit === 'mm' ? 0.5 : 0.508}
          value={Math.min(longest, stickout)}
          onChange={(_, mm) => onStickout(Math.max(0.5, Array.isArray(mm) ? stickout : mm))}
          getAriaLabel={() => 'Set on the drawing'}
          getAriaValueText={(mm) => `${show(mm, 1)} ${unit === 'mm' ? 'mm' : 'inches'} out`}
        />
      )}
    </div>
  );
}

/** The stretch in which a stickout is right, in words; '' where nothing known bounds it. */
function rangeWords(
  { least, most }: StickoutRange,
  show: (mm: number, decimals: number) => string,
  isAny: boolean,
): string {
  if (!isAny) return 'no stickout is right: flutes or grip';
  const words = [least !== null && `from ${show(least, 1)}`, most !== null && `to ${show(most, 1)}`];
  const said = words.filter(Boolean).join(' ');
  return said && `stickout right ${said}`;
}
