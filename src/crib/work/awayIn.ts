import type { LoadedRow } from '@/data/pockets';

/**
 * In which pocket an assembly is that its machine would not take for its T: in another machine, or under another T; null: in
 * none such, as far as is known. Example: 'in pocket 5 as T9'.
 */
export function awayIn(
  load: LoadedRow | undefined,
  operation: { machineId: number },
  t: number,
): string | null {
  if (!load) return null;
  if (load.machineId !== operation.machineId) return `in ${load.machine}, pocket ${load.pocket}`;
  return load.t === t ? null : `in pocket ${load.pocket} as T${load.t}`;
}
