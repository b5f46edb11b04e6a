import type { RegisterForm } from '@/core/measuring';
import { asRead, registerNumber, wearToRead, whyOther } from '@/core/registers';
import { first } from '@/core/sure';
import { defineVerb, field, found, Problem, type ProblemPart, toNumber } from '@/crib/door';
import { maybeAssembly } from '@/data/assemblies';
import { HOW_GIVEN, insertRegisterGiven } from '@/data/registers';
import { maybeMachine } from '@/data/shop';
import { type SheetLine, sheetOf } from '../sheet';

const figure = {
  type: 'string',
  minLength: 1,
  maxLength: 20,
  description: 'As the control shows it, in the machine’s own unit.',
} as const;

/**
 * Says that a machine has its numbers now: sent as a file, or typed in there and read back. Each is held against what it
 * should be; where one differs nothing is recorded, since a control that is half right is wrong.
 */
export const giveRegisters = defineVerb({
  name: 'giveRegisters',
  may: ['crib', 'operator', 'planner'],
  path: 'registers-given',
  summary:
    'Record that a machine was given its numbers, T by T: sent as a file, or typed in and read back; another figure than is due is refused with what is wrong with it.',
  properties: {
    machine: field.code,
    how: field.choice(HOW_GIVEN),
    lines: {
      type: 'array',
      minItems: 1,
      maxItems: 200,
      items: {
        type: 'object',
        properties: {
          t: field.whole(0, 9999),
          tag: field.words(20),
          ...{ h: figure, d: figure, hWear: figure, dWear: figure },
        },
        required: ['t', 'tag'],
        additionalProperties: false,
      },
    },
  },
  required: ['machine', 'how', 'lines'],
  async run(c, input, moment) {
    const machine = found(await maybeMachine(c, input.machine), 'machine', input.machine, 'machine');
    // Days in its reasons are shown to nobody here.
    const sheet = await sheetOf(c, machine, 'UTC');
    const others = sheet.flatMap((l) => [
      ...(l.h === null ? [] : [{ name: `H${l.numbers.h}`, text: l.h }]),
      ...(l.d === null ? [] : [{ name: `D${l.numbers.d}`, text: l.d }]),
    ]);
    const seen = new Set<string>();
    const wrong: ProblemPart[] = [];
    const due: { line: SheetLine; d: string | null; said: Said }[] = [];
    for (const [i, said] of input.lines.entries()) {
      const t = toNumber(said.t);
      const of = sheet.filter((l) => l.t === t && l.tag === said.tag.toUpperCase());
      // Touched off on the part a tool has an H for each job: the one that was read is meant.
      const line = of.find((l) => l.h !== null && whyOther(said.h ?? '', l.h, machine) === null) ?? of[0];
      const register = line && line.numbers.h !== t ? `H${line.numbers.h}` : `T${t}`;
      const parts = checked(i, t, said, line, machine, others, seen.has(register) ? register : null);
      seen.add(register);
      wrong.push(...parts);
      if (line && !parts.length)
        due.push({
          line,
          said,
          d: line.setThere.d ? (said.d ?? null) : said.d === undefined ? null : line.d,
        });
    }
    if (wrong.length)
      throw new Problem('REFUSED', first(wrong).detail, {
        parts: wrong,
        wayOut:
          'Nothing was recorded. Look at the control, enter what the sheet says, read it back again; a sheet that was printed before may be older than the last measurement.',
      });
    moment.leansOn(machine.entryId);
    for (const { line, d, said } of due) {
      const assembly = found(await maybeAssembly(c, line.tag ?? ''), 'tag', line.tag, 'assembly');
      moment.leansOn(assembly.entryId);
      await insertRegisterGiven(c, moment.entryId, {
        machineId: machine.id,
        t: line.t,
        assemblyId: assembly.id,
        hNumber: line.numbers.h,
        dNumber: line.numbers.d,
        h: line.setThere.h ? asRead(said.h ?? '', machine) : line.h,
        d,
        hWear: said.hWear === undefined ? null : (line.wear?.h.due ?? null),
        dWear: said.dWear === undefined ? null : (line.wear?.d?.due ?? null),
        unit: machine.units,
        how: input.how,
      });
    }
    return { machine: machine.code, given: due.length, how: input.how };
  },
  says: (a) => `${a.given} T of ${a.machine} ${a.how}`,
});

/** What was sent or read of one T. */
interface Said {
  tag: string;
  h?: string;
  d?: string;
  hWear?: string;
  dWear?: string;
}

/** What is wrong with one line; empty: it is as it should be. */
function checked(
  i: number,
  t: number,
  said: Said,
  line: SheetLine | undefined,
  form: RegisterForm,
  others: readonly { name: string; text: string }[],
  twice: string | null,
): ProblemPart[] {
  const part = (name: string, value: unknown, limit: string, detail: string): ProblemPart => ({
    field: `lines/${i}/${name}`,
    value,
    limit,
    detail,
  });
  if (twice) return [part('t', t, 'each register once', `${twice} is there twice: a control has it once`)];
  if (!line)
    return [
      part(
        'tag',
        said.tag,
        'what is tied to this T, or loaded under it',
        `${said.tag} is not on T${t} of an open job`,
      ),
    ];
  const { h: H, d: D } = { h: `H${line.numbers.h}`, d: `D${line.numbers.d}` };
  if (line.h === null && !line.setThere.h)
    return [
      part(
        'h',
        said.h ?? null,
        line.lacks.join(', '),
        `${H} has no figure to enter: ${line.lacks.join(', ')}`,
      ),
    ];
  const off = (
    name: 'h' | 'd' | 'hWear' | 'dWear',
    register: string,
    read: string | undefined,
    wanted: string | null,
    asked: boolean,
  ) => {
    if (read === undefined)
      return asked
        ? [part(name, null, wanted ?? '', `${register} is to be read back: it should be ${wanted}`)]
        : [];
    if (wanted === null)
      return [
        part(
          name,
          read,
          'left out',
          line.lacks.length
            ? `${register} has no figure yet: ${line.lacks.join(', ')}`
            : `${register}: this machine has none by its figures`,
        ),
      ];
    const why = whyOther(
      read,
      wanted,
      form,
      others.filter((o) => o.name !== register),
    );
    return why === null
      ? []
      : [part(name, read, wanted, `${register} reads ${read}, it should be ${wanted}: ${why}`)];
  };
  const wear = (name: 'h' | 'd', register: string, read: string | undefined) => {
    const due = line.wear?.[name] ?? null;
    const isAsked = due !== null && wearToRead(due);
    return off(`${name}Wear`, `wear of ${register}`, read, due?.due ?? null, isAsked);
  };
  return [
    ...(line.setThere.h ? slipped(said.h, line.wouldBe) : off('h', H, said.h, line.h, true)),
    ...(line.setThere.d && said.d !== undefined && registerNumber(said.d) !== null
      ? []
      : off('d', D, said.d, line.d, false)),
    ...wear('h', H, said.hWear),
    ...wear('d', D, said.dWear),
  ];

  /** A machine that measures itself is master of its figure: only what can be no figure of this tool is refused. */
  function slipped(read: string | undefined, wouldBe: string | null): ProblemPart[] {
    if (read === undefined || registerNumber(read) === null)
      return [part('h', read ?? null, 'a number', `${H} is to be read back as the machine’s setter left it`)];
    const why =
      wouldBe === null
        ? null
        : whyOther(
            read,
            wouldBe,
            form,
            others.filter((o) => o.name !== H),
          );
    return why !== null && !AS_MEASURED.has(why)
      ? [part('h', read, wouldBe ?? '', `${H} reads ${read}, measured here it would be ${wouldBe}: ${why}`)]
      : [];
  }
}

/** What a setter may honestly differ by; a wrong sign, point, unit or register it is not. */
const AS_MEASURED = new Set(['it is another figure', 'two digits are swapped']);
