import { callsAnother } from '@/core/registers';
import type { AssemblyCard, MachineRegisters } from '@/crib/rack';
import type { AssemblyRow } from '@/data/assemblies';
import type { LoadRow } from '@/data/pockets';
import type { MachineRow } from '@/data/shop';

/** A tool under a T; no card: it was taken down. */
interface Lacking {
  row: Pick<AssemblyRow, 'tag'>;
  card: AssemblyCard | null;
  registers: MachineRegisters | null;
  calledElsewhere: string | null;
}

/** A program that calls another H than its pocket has takes the length of another tool, unless a sister has that H. */
export function elsewhere(
  load: LoadRow,
  called: readonly number[],
  loads: readonly LoadRow[],
): string | null {
  if (load.h === null || !callsAnother(called, load.h)) return null;
  if (loads.some((l) => l !== load && l.t === load.t && called.includes(l.h ?? l.t))) return null;
  return `its program calls H${called.filter((h) => h !== 0).join(', H')}, its pocket says H${load.h}`;
}

/** What a tool lacks to be given its numbers, and what else is to be said of them. */
export const lacksOf = (w: Lacking, machine: MachineRow): string[] => [
  ...(w.calledElsewhere === null ? [] : [w.calledElsewhere]),
  ...lacksFigures(w, machine),
];

function lacksFigures({ card, row, registers }: Lacking, machine: MachineRow): string[] {
  if (!card) return [`${row.tag} was taken down`];
  const own = machine.ownSetter !== null;
  if (card.measured.state === 'not measured') return own ? [] : ['not measured'];
  if (card.measured.state === 'in question') return ['its length is in question'];
  const { device, deviceDoubt } = card.measured.measurement;
  const needs = (name: 'H' | 'D', mine: boolean) => {
    const register = registers?.[name];
    return !mine && register && 'needs' in register ? [`${name} needs ${register.needs}`] : [];
  };
  return [
    // Whoever runs it is asked the same (core/jobs/use/registers.ts).
    ...(deviceDoubt ? [`measured with ${device}, which was off at its check: measure again`] : []),
    ...needs('H', own),
    ...needs('D', machine.ownSetter === 'length and diameter'),
  ];
}
