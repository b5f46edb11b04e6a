import { useId } from 'react';
import type { RackCard } from '@/crib/rack';
import { hatchTop, mirrored, openLine } from './drawing';

/** Below this width life used is a plain bar beside the cutter; hatching would blur. */
const HATCH_FROM_PX = 16;

/** One assembly hanging from the gauge line (y = 0) about x = 0, to scale; hatching means used, cross hatching worn. */
export function AssemblyDrawing({ card, scale }: { card: RackCard; scale: number }) {
  const id = useId();
  const { outline: o, life, wear, zone } = card;
  const flute = mirrored(o.flute, scale);
  const tip = o.length;
  const top = o.flute[0]?.z ?? tip;
  const fluteLength = tip - top;
  const half = Math.max(...o.flute.map((p) => p.r)) * scale;
  const usedTop = life.used === null ? null : hatchTop(tip, fluteLength, life.used);
  const worn = Math.min(1, wear ?? 0);
  // Where somebody said which part of the flute is worn, that part; else its tip, the more the nearer it is to its criterion.
  const wornTop = zone ? tip - zone.toMm : worn > 0 ? hatchTop(tip, fluteLength, worn * 0.3) : null;
  const wornEnd = zone ? tip - zone.fromMm : tip;
  const unmeasured = card.measured.state === 'not measured';
  return (
    <g>
      <defs>
        <pattern
          id={`${id}u`}
          width="5"
          height="5"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="5" height="5" fill="var(--accent-soft)" />
          <rect width="2" height="5" fill="var(--accent)" />
        </pattern>
        <pattern id={`${id}w`} width="5" height="5" patternUnits="userSpaceOnUse">
          <rect width="5" height="5" fill="var(--rust-soft)" />
          <path d="M0,0L5,5M5,0L0,5" stroke="var(--rust)" strokeWidth="1.1" />
        </pattern>
        <clipPath id={`${id}c`}>
          <path d={flute} />
        </clipPath>
      </defs>
      <path d={mirrored(o.holder, scale)} fill="var(--holder)" />
      <path d={mirrored(o.holder.slice(0, 2), scale)} fill="var(--holder-dark)" />
      {o.shank.length > 0 && <path d={mirrored(o.shank, scale)} fill="var(--steel)" />}
      <path d={flute} fill="var(--sheet)" />
      <path
        d={o.openEnd ? openLine(o.flute, scale, 'shank') : flute}
        fill="none"
        stroke="var(--accent)"
        strokeWidth="1.4"
        strokeDasharray={unmeasured ? '4 3' : undefined}
      />
      {o.openEnd && (
        <text
          x={-half - 5}
          y={top * scale + 4}
          textAnchor="end"
          fontSize="11.5"
          fill="var(--soft)"
          className="fig"
        >
          LCF ?
        </text>
      )}
      {half * 2 >= HATCH_FROM_PX ? (
        <g clipPath={`url(#${id}c)`}>
          {usedTop !== null && (
            <rect
              x={-half}
              y={usedTop * scale}
              width={half * 2}
              height={(tip - usedTop) * scale}
              fill={`url(#${id}u)`}
            />
          )}
          {wornTop !== null && (
            <rect
              x={-half}
              y={wornTop * scale}
              width={half * 2}
              height={(wornEnd - wornTop) * scale}
              fill={`url(#${id}w)`}
            />
          )}
        </g>
      ) : (
        <g>
          {usedTop !== null && (
            <>
              <rect
                x={half + 4}
                y={top * scale}
                width="5"
                height={fluteLength * scale}
                fill="var(--sheet)"
                stroke="var(--accent)"
                strokeWidth="1"
              />
              <rect
                x={half + 4}
                y={usedTop * scale}
                width="5"
                height={(tip - usedTop) * scale}
                fill="var(--accent)"
              />
            </>
          )}
          {wornTop !== null && (
            <g clipPath={`url(#${id}c)`}>
              <rect
                x={-half}
                y={wornTop * scale}
                width={half * 2}
                height={(wornEnd - wornTop) * scale}
                fill="var(--rust)"
              />
            </g>
          )}
        </g>
      )}
    </g>
  );
}
