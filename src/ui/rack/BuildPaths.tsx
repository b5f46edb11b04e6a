import type { AssemblyOutline } from '@/core/assemblies';
import { mirrored, openLine } from './drawing';

/** The paths of a build hanging from its gauge line (y = 0) about x = 0, to scale; whoever draws it lying turns it. */
export function BuildPaths({ outline, scale }: { outline: AssemblyOutline; scale: number }) {
  return (
    <>
      <path d={mirrored(outline.holder, scale)} fill="var(--holder)" />
      <path d={mirrored(outline.holder.slice(0, 2), scale)} fill="var(--holder-dark)" />
      <path d={mirrored(outline.shank, scale)} fill="var(--steel)" />
      <path d={mirrored(outline.flute, scale)} fill="var(--sheet)" />
      <path
        d={outline.openEnd ? openLine(outline.flute, scale, 'shank') : mirrored(outline.flute, scale)}
        fill="none"
        stroke="var(--accent)"
        strokeWidth="1.4"
      />
    </>
  );
}
