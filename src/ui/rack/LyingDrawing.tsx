import type { AssemblyOutline } from '@/core/assemblies';
import { BuildPaths } from './BuildPaths';

/** A build lying, gauge line at the left, at a scale that others beside it have too: a picture to know it by. */
export function LyingDrawing({
  outline,
  scale,
  width,
  label,
}: {
  outline: AssemblyOutline;
  /** Pixels a millimetre. */
  scale: number;
  width: number;
  label: string;
}) {
  const half = (outline.widest / 2) * scale + 3;
  return (
    <svg width={width} height={2 * half} role="img" aria-label={label}>
      <line x1="2" x2="2" y1="0" y2={2 * half} stroke="var(--ink)" strokeWidth="3" />
      <g transform={`translate(3 ${half}) rotate(-90)`}>
        <BuildPaths outline={outline} scale={scale} />
      </g>
    </svg>
  );
}
