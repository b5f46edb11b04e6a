import type { StockBox } from '@/core/jobs';
import styles from './Setup.module.css';

/** Room for each view, and between them. */
const ROOM = { wide: 300, deep: 190, high: 96, gap: 34, left: 26 } as const;

interface Spot {
  name: string;
  x: number;
  y: number;
}
const ALONG = { x: ['left', 'middle', 'right'], y: ['near', 'middle', 'far'] } as const;

/**
 * The stock to scale, from above and from the operator's side, with a dot at zero. Where `onPick` takes it, zero is put by
 * a spot on it: nine from above, top and bottom from the side. mm.
 */
export function StockSketch({
  box,
  onPick,
}: {
  box: StockBox;
  onPick?: (zero: Partial<Record<'x' | 'y' | 'z', number>>) => void;
}) {
  const { x, y, z } = box.stock;
  if (x === null || y === null || z === null) return null;
  const scale = Math.min(ROOM.wide / x, ROOM.deep / y, ROOM.high / z);
  const [w, d, h] = [x * scale, y * scale, z * scale];
  const left = ROOM.left;
  const above = 18;
  const side = above + d + ROOM.gap;
  const under = box.parallels === null ? 0 : Math.min(box.parallels * scale, 30);
  const at = {
    x: (mm: number) => left + mm * scale,
    // From above, the side at the operator is below.
    y: (mm: number) => above + d - mm * scale,
    z: (mm: number) => side + h - mm * scale,
  };
  const spots: Spot[] = [0, 1, 2].flatMap((i) =>
    [0, 1, 2].map((j) => ({ name: `${ALONG.x[i]}, ${ALONG.y[j]}`, x: (x / 2) * i, y: (y / 2) * j })),
  );
  const { zero } = box;
  const total = side + h + under + 26;
  return (
    <svg
      viewBox={`0 0 ${left + w + 34} ${total}`}
      className={styles.sketch}
      style={{ maxWidth: left + w + 34 }}
      role={onPick ? 'group' : 'img'}
      aria-label={`The stock to scale, from above and from the front${zero.x === null || zero.y === null ? '' : ', a dot at zero'}`}
    >
      <text x={left + w} y={11} textAnchor="end">
        from above
      </text>
      <rect className={styles.stock} x={left} y={above} width={w} height={d} />
      <text x={left + w} y={side - 6} textAnchor="end">
        from the front
      </text>
      <rect className={styles.stock} x={left} y={side} width={w} height={h} />
      {under > 0 && (
        <>
          <rect
            className={styles.parallel}
            x={left + w * 0.12}
            y={side + h}
            width={w * 0.08}
            height={under}
          />
          <rect className={styles.parallel} x={left + w * 0.8} y={side + h} width={w * 0.08} height={under} />
        </>
      )}
      <line
        className={styles.bed}
        x1={left - 12}
        x2={left + w + 12}
        y1={side + h + under}
        y2={side + h + under}
      />
      {zero.z !== null && (
        <line
          className={styles.level}
          x1={left - 14}
          x2={left + w + 14}
          y1={at.z(zero.z)}
          y2={at.z(zero.z)}
        />
      )}
      {onPick && (
        <>
          {spots.map((s) => (
            <Pick
              key={s.name}
              label={`Zero ${s.name}`}
              x={at.x(s.x)}
              y={at.y(s.y)}
              onPick={() => onPick({ x: s.x, y: s.y })}
            />
          ))}
          {(
            [
              ['top', z],
              ['bottom', 0],
            ] as const
          ).map(([name, mm]) => (
            <Pick
              key={name}
              label={`Zero at the ${name}`}
              x={left + w + 18}
              y={at.z(mm)}
              onPick={() => onPick({ z: mm })}
            />
          ))}
        </>
      )}
      {zero.x !== null && zero.y !== null && <Zero x={at.x(zero.x)} y={at.y(zero.y)} up="Y" />}
      {zero.x !== null && zero.z !== null && <Zero x={at.x(zero.x)} y={at.z(zero.z)} up="Z" />}
    </svg>
  );
}

/** The dot, with the way its axes go. */
const Zero = ({ x, y, up }: { x: number; y: number; up: string }) => (
  <g className={styles.zero}>
    <path d={`M${x} ${y}h20m-4 -3l4 3l-4 3M${x} ${y}v-16m-3 4l3 -4l3 4`} />
    <circle cx={x} cy={y} r="4.5" />
    <text x={x + 22} y={y + 11}>
      X
    </text>
    <text x={x + 4} y={y - 17}>
      {up}
    </text>
  </g>
);

const Pick = ({ label, x, y, onPick }: { label: string; x: number; y: number; onPick: () => void }) => (
  <circle
    className={styles.pick}
    cx={x}
    cy={y}
    r="8"
    role="button"
    tabIndex={0}
    aria-label={label}
    onClick={onPick}
    onKeyDown={(e) => {
      if (e.key !== 'Enter' && e.key !== ' ') return;
      e.preventDefault();
      onPick();
    }}
  />
);
