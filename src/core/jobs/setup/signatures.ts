import { namesOf } from '../../names';
import { COMPARED, compareTools, type ToolReport } from '../../programs';
import { changeWords, sheetChanges, type SheetField, type SheetTexts } from './setupSheet';

/** What a setup is signed for, in the order it is done, and what the one who signs says by it. */
export const SIGN_STEPS = {
  written: 'what is to be set up is on the sheet',
  entered: 'program, offsets and work zero are in the machine',
  proved: 'it ran in the air and made a good part',
  optimised: 'speeds, feeds and order were bettered',
  filed: 'the proved program and its sheet were kept',
} as const;
export type SignStep = keyof typeof SIGN_STEPS;

/** One T as somebody signed for it: what was on it, and its numbers in the machine as they are entered. */
export interface SignedTool {
  tag: string | null;
  /** As it was entered; null: nothing was on it. */
  stickout: string | null;
  H: string | null;
  D: string | null;
}

/** What a signature stands for: the setup as it was when it was given. */
export interface Setup {
  /** Code of the machine it goes on. */
  machine: string;
  sheet: SheetTexts;
  /** Entry of the program; null: there was none. */
  program: number | null;
  tools: Record<string, SignedTool>;
}

/** What of a setup can become other than was signed for. */
export type Changed = 'machine' | 'drawing' | 'sheet' | 'notes' | 'program' | 'kit' | 'register';

/** Which signatures lean on what: common practice (a first run after any change of program, length or offset is a proving run). */
const LEANS: Record<SignStep, readonly Changed[]> = {
  written: ['machine', 'drawing', 'sheet', 'notes'],
  entered: ['machine', 'sheet', 'program', 'kit', 'register'],
  proved: ['machine', 'drawing', 'sheet', 'program', 'kit', 'register'],
  optimised: ['machine', 'program', 'kit'],
  filed: ['machine', 'drawing', 'sheet', 'program'],
};

/** Fields of a sheet that are more than the setup, or less. */
const KIND_OF: Partial<Record<SheetField, Changed>> = {
  drawing: 'drawing',
  revision: 'drawing',
  notes: 'notes',
};

export interface SetupChange {
  kind: Changed;
  /** The tool it is of; null: of the whole. */
  t: number | null;
  words: string;
}

/**
 * What of a setup is other than it was signed for. `programs`: what the two programs say of their tools; null where one of
 * them can't be read any more. What was changed and changed back is no change. Example: A-0004 on T3 and now A-0009 ->
 * [{ kind: 'kit', t: 3, words: 'T3 was A-0004, is A-0009' }].
 */
export function setupChanges(
  then: Setup,
  now: Setup,
  programs: { then: readonly ToolReport[]; now: readonly ToolReport[] } | null,
): SetupChange[] {
  const changes: SetupChange[] = sheetChanges(then.sheet, now.sheet).map((change) => ({
    kind: KIND_OF[change.field] ?? 'sheet',
    t: null,
    words: changeWords(change),
  }));
  if (then.machine !== now.machine)
    changes.unshift({ kind: 'machine', t: null, words: `it was on ${then.machine}, is on ${now.machine}` });
  if (then.program !== now.program) changes.push(...programChanges(then, now, programs));
  const numbers = [...new Set([...Object.keys(then.tools), ...Object.keys(now.tools)])].map(Number);
  for (const t of numbers.sort((a, b) => a - b)) {
    const [was, is] = [then.tools[t], now.tools[t]];
    // A T that only one of the programs has is a change of the program.
    if (was && is) changes.push(...toolChanges(t, was, is));
  }
  return changes;
}

function programChanges(
  then: Setup,
  now: Setup,
  programs: Parameters<typeof setupChanges>[2],
): SetupChange[] {
  if (now.program === null) return [{ kind: 'program', t: null, words: 'its program was taken back' }];
  if (then.program === null || !programs)
    return [{ kind: 'program', t: null, words: 'its program is another one' }];
  const tools = compareTools(programs.then, programs.now);
  if (!tools.length)
    return [
      {
        kind: 'program',
        t: null,
        words: 'its program is another text; of its tools nothing differs that is compared',
      },
    ];
  return tools.map(({ t, kind, changes }) => ({
    kind: 'program',
    t,
    words:
      kind === 'changed'
        ? `T${t} in the program: ${changes.map((c) => COMPARED[c.what]).join(', ')} other than before`
        : `T${t} is ${kind} in the program`,
  }));
}

function toolChanges(t: number, was: SignedTool, is: SignedTool): SetupChange[] {
  if (was.tag !== is.tag)
    return [{ kind: 'kit', t, words: `T${t} was ${was.tag ?? 'without'}, is ${is.tag ?? 'without'}` }];
  if (was.stickout !== is.stickout)
    return [
      { kind: 'kit', t, words: `${is.tag ?? `T${t}`} stood out ${was.stickout}, stands out ${is.stickout}` },
    ];
  return (['H', 'D'] as const).flatMap((register) =>
    was[register] === is[register]
      ? []
      : [
          {
            kind: 'register' as const,
            t,
            words: `${register} of T${t} was ${was[register] ?? 'not known'}, is ${is[register] ?? 'not known'}`,
          },
        ],
  );
}

/** Why a signature does not hold as it stands: what it leans on that has changed since. */
export const doubtsOf = (step: SignStep, changes: readonly SetupChange[]): SetupChange[] =>
  changes.filter((c) => LEANS[step].includes(c.kind));

/**
 * What must be proved again, in words, from what has changed since 'proved' was signed: nothing where nothing did. A tool
 * alone is proved by its first approach and its cut in the air, whatever is the whole part's by a whole run.
 * Example: H of T3 changed -> ['T3: its first approach and its cut, in the air'].
 */
export function toProveAgain(changes: readonly SetupChange[]): string[] {
  const doubts = doubtsOf('proved', changes);
  if (!doubts.length) return [];
  if (doubts.some((c) => c.t === null)) return ['the whole program, in the air, and the first part measured'];
  const tools = [...new Set(doubts.map((c) => c.t))];
  return tools.map((t) => `T${t}: its first approach and its cut, in the air`);
}

/** What is to be signed next: the first step that nobody signed or that is in doubt; null: all are. Optimising is left out freely. */
export const nextToSign = (
  signed: readonly { step: SignStep; doubts: readonly unknown[] }[],
): SignStep | null =>
  namesOf(SIGN_STEPS).find(
    (step) => step !== 'optimised' && !signed.some((s) => s.step === step && s.doubts.length === 0),
  ) ?? null;
