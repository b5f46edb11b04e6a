import { BLANK_SHEET, type Setup, type SignedTool } from '@/core/jobs';
import { registerText } from '@/core/measuring';
import { type AssemblyCard, registersOn } from '@/crib/rack';
import type { SetupSheetRow } from '@/data/jobs';
import type { MachineRow } from '@/data/shop';
import type { JobLine } from '../jobLines';
import { textsOf } from './sheetFields';

/** A job's operation as it is set up now: what a signature is given for. Size corrections of a shift are no other setup. */
export function setupOf(
  job: JobLine,
  machine: MachineRow,
  sheet: SetupSheetRow | null,
  cards: readonly AssemblyCard[],
): Setup {
  const byTag = new Map(cards.map((card) => [card.tag, card]));
  const tool = (tag: string | null): SignedTool => {
    const card = tag === null ? undefined : byTag.get(tag);
    if (!card) return { tag: null, stickout: null, H: null, D: null };
    const registers =
      card.measured.state === 'measured'
        ? registersOn(machine, card.measured.measurement, card.cutter.DC, [job.operation], 'UTC', [])
        : null;
    return {
      tag: card.tag,
      stickout: card.stickoutEntered,
      H: registers && registerText(registers.H, machine),
      D: registers && registerText(registers.D, machine),
    };
  };
  return {
    machine: machine.code,
    sheet: sheet ? textsOf(sheet) : BLANK_SHEET,
    program: job.program?.entryId ?? null,
    tools: Object.fromEntries(job.tools.map((t) => [String(t.t), tool(t.tag)])),
  };
}
