import type { HolderGeometry } from '../cutters';
import type { CutterDetails, HolderDetails, Part } from './parts';

/** The lowest rpm limit of what is put together, by name; `unknown` are those that must have one and state none. */
export function rpmLimit(
  holder: HolderGeometry,
  parts: readonly Part[],
  details: { cutter: CutterDetails; holder: HolderDetails },
): { lowest: { of: string; rpm: number } | null; unknown: string[] } {
  const all: [string, number | null][] = [
    [details.holder.code, holder.RPM_MAX],
    ...parts.flatMap((p): [string, number | null][] =>
      p.kind === 'extension' || p.RPM_MAX !== null ? [[p.code, p.RPM_MAX]] : [],
    ),
    ...(details.cutter.RPM_MAX === undefined
      ? []
      : [['cutter body', details.cutter.RPM_MAX] satisfies [string, number | null]]),
  ];
  const known = all.flatMap(([of, rpm]) => (rpm === null ? [] : [{ of, rpm }])).sort((a, b) => a.rpm - b.rpm);
  return { lowest: known[0] ?? null, unknown: all.filter(([, rpm]) => rpm === null).map(([of]) => of) };
}
