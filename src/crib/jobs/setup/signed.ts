import {
  doubtsOf,
  nextToSign,
  type Setup,
  setupChanges,
  type SetupChange,
  SIGN_STEPS,
  type SignStep,
  toProveAgain,
} from '@/core/jobs';
import { isOne, namesOf } from '@/core/names';
import type { ToolReport } from '@/core/programs';
import { maybeReport, type SignatureRow } from '@/data/jobs';
import type { Connection } from '@/data/database';

/** A signature as it stands now. */
export interface Signed {
  step: SignStep;
  name: string;
  who: string;
  happenedAt: Date;
  entryId: number;
  /** What it leans on that has changed since; empty: it holds. */
  doubts: SetupChange[];
}
export interface Signatures {
  signed: Signed[];
  /** What is to be signed next; null: nothing. */
  next: SignStep | null;
  /** What must be proved again, in words. */
  again: string[];
}

/** Whether an operation is proved as it is set up now. */
export function isProved(rows: readonly SignatureRow[], setup: Setup): boolean {
  const row = rows.find((r) => r.step === 'proved');
  return row !== undefined && doubtsOf('proved', setupChanges(row.standsFor, setup, null)).length === 0;
}

/** The signatures under an operation, each with what has changed since it was given. */
export async function signaturesOf(
  c: Connection,
  rows: readonly SignatureRow[],
  setup: Setup,
  tools: readonly ToolReport[],
): Promise<Signatures> {
  const signed: Signed[] = [];
  const reports = new Map<number, readonly ToolReport[]>(
    setup.program === null ? [] : [[setup.program, tools]],
  );
  let again: string[] = [];
  for (const row of rows) {
    if (!isOne(namesOf(SIGN_STEPS), row.step)) continue;
    const then = row.standsFor;
    if (then.program !== null && !reports.has(then.program)) {
      const known = await maybeReport(c, then.program);
      if (known) reports.set(then.program, known.report.tools);
    }
    const before = then.program === null ? undefined : reports.get(then.program);
    const changes = setupChanges(then, setup, before ? { then: before, now: tools } : null);
    if (row.step === 'proved') again = toProveAgain(changes);
    const { name, who, happenedAt, entryId } = row;
    signed.push({ step: row.step, name, who, happenedAt, entryId, doubts: doubtsOf(row.step, changes) });
  }
  const order = namesOf(SIGN_STEPS);
  signed.sort((a, b) => order.indexOf(a.step) - order.indexOf(b.step));
  return { signed, next: nextToSign(signed), again };
}
