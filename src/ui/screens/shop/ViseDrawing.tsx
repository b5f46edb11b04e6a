import type { Clamped, Fixture, FixtureOffset } from '@/core/measuring';

const W = 300;
const H = 170;

/** The vise from above with the part in it and a dot at zero, X to the right and Y away from the operator. */
export function ViseDrawing({
  fixture: f,
  part,
  zero,
}: {
  fixture: Fixture;
  part: Clamped | null;
  zero: FixtureOffset | null;
}) {
  const deep = Math.max(part?.stock.y ?? f.width / 3, 1);
  const wide = Math.max(f.width, part?.stock.x ?? 0) * 1.1;
  const scale = Math.min((W - 20) / wide, (H - 60) / deep);
  const mid = W / 2;
  const [jaw, thick] = [22, 14];
  // The fixed jaw is drawn above where it is the far one, below where it is the near one.
  const jawY = f.far ? jaw : H - jaw - thick;
  const face = f.far ? jaw + thick : H - jaw - thick;
  const x = (machineX: number) => mid + (machineX - f.centre) * scale;
  const y = (machineY: number) => face + (f.jaw - machineY) * scale;
  const left =
    part && zero ? zero.X - { left: 0, middle: part.stock.x / 2, right: part.stock.x }[part.zero.x] : null;
  const half = (f.width / 2) * scale;
  const moving = f.far ? face + deep * scale : face - deep * scale - thick;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      role="img"
      aria-label="The vise from above, a dot at zero"
      style={{ maxWidth: W, width: '100%' }}
    >
      <rect x={mid - half} y={jawY} width={2 * half} height={thick} fill="var(--holder-dark)" />
      <rect x={mid - half} y={moving} width={2 * half} height={thick} fill="var(--holder)" />
      {f.stop !== null && (
        <line
          x1={x(f.stop)}
          x2={x(f.stop)}
          y1={face - 26}
          y2={face + 26}
          stroke="var(--brass)"
          strokeWidth="4"
        />
      )}
      {part && zero && left !== null && (
        <>
          <rect
            x={x(left)}
            y={f.far ? face : face - part.stock.y * scale}
            width={part.stock.x * scale}
            height={part.stock.y * scale}
            fill="var(--sheet)"
            stroke="var(--accent)"
            strokeWidth="1.4"
          />
          <circle cx={x(zero.X)} cy={y(zero.Y)} r="5" fill="var(--rust)" />
        </>
      )}
      <text x={mid} y={jawY + 11} textAnchor="middle" fontSize="10" fill="var(--on-accent)">
        fixed
      </text>
    </svg>
  );
}
