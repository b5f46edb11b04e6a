import { type Grade, worstGrade } from '@/core/because';
import { weightOf } from '@/core/assemblies';
import { type Magazine, type PocketTool } from '@/core/pockets';
import {
  type AssemblyCard,
  calledAt,
  correctionsOn,
  type MachineRegisters,
  registersOn,
  standingThese,
} from '@/crib/rack';
import { type AssemblyRow, manyAssembliesById } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import type { LoadRow, MagazineRow } from '@/data/pockets';
import { manyCorrections } from '@/data/registers';
import type { MachineRow } from '@/data/shop';

/** An assembly as a pocket takes it, with its card. */
export interface InMachine {
  row: AssemblyRow;
  card: AssemblyCard;
  tool: PocketTool;
  /** Its numbers on this machine; null: no length that counts. */
  registers: MachineRegisters | null;
}

/** Some assemblies that stand, as a machine's magazine takes them, by id. */
export async function asTools(
  c: Connection,
  ids: readonly number[],
  machine: MachineRow,
  zone: string,
): Promise<Map<number, InMachine>> {
  const rows = (await manyAssembliesById(c, [...new Set(ids)])).filter((r) => r.takenDownEntryId === null);
  const corrections = await manyCorrections(
    c,
    rows.map((r) => r.id),
  );
  const standing = rows.length ? await standingThese(c, rows) : [];
  return new Map(
    standing.map(({ row, card, cutter, operations, together }) => {
      const weight = weightOf(together.build);
      const { measured } = card;
      return [
        row.id,
        {
          row,
          card,
          tool: {
            tag: row.tag,
            // A holder without an outline is drawn as a cylinder, and its width is nobody's.
            wide: card.outline.assumed.some((a) => a.symbol === 'outline') ? null : card.outline.widest,
            length: card.outline.length,
            weight: { kg: weight.value, atLeast: weight.atLeast },
          },
          registers:
            measured.state === 'measured'
              ? registersOn(
                  machine,
                  measured.measurement,
                  cutter.DC,
                  operations,
                  zone,
                  correctionsOn(machine, row, measured.measurement, corrections),
                )
              : null,
        },
      ];
    }),
  );
}

/** Whether something may run on a machine, and why not. */
export interface UseHere {
  grade: Grade;
  why: string | null;
}

/**
 * Whether it may run for the open jobs of a machine and for those it stands in for as a sister, at its worst; where there are
 * none, what speaks against it by itself. null: nothing does.
 */
export function useHere(
  card: AssemblyCard,
  machine: MachineRow,
  standsIn: AssemblyCard['ties'],
): UseHere | null {
  const { itself } = card;
  const uses = [...calledAt(card, machine.code), ...standsIn].map((t) => t.use);
  if (!uses.length) return itself.why === null ? null : { grade: itself.grade, why: itself.why };
  const grade = worstGrade(uses);
  return { grade, why: uses.find((use) => use.grade === grade)?.why ?? null };
}

export const magazineOf = (row: MagazineRow): Magazine => ({
  kind: row.kind,
  pockets: row.pockets,
  weight: row.weight,
  diameter: row.diameterMm,
  alone: row.aloneMm,
  length: row.lengthMm,
});

/** What is in the pockets, as they are judged by. */
export const toolsIn = (
  loads: readonly LoadRow[],
  tools: ReadonlyMap<number, InMachine>,
): Map<number, PocketTool> =>
  new Map(
    loads.flatMap((l) => {
      const is = tools.get(l.assemblyId);
      return is ? [[l.pocket, is.tool] as const] : [];
    }),
  );
