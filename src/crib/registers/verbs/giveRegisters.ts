import { whyOther } from '@/core/registers';
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
        properties: { t: field.whole(0, 9999), tag: field.words(20), h: figure, d: figure },
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
      ...(l.h === null ? [] : [{ name: `H${l.t}`, text: l.h }]),
      ...(l.d === null ? [] : [{ name: `D${l.t}`, text: l.d }]),
    ]);
    const seen = new Set<number>();
    const wrong: ProblemPart[] = [];
    const due: { line: SheetLine; d: string | null }[] = [];
    for (const [i, said] of input.lines.entries()) {
      const t = toNumber(said.t);
      const of = sheet.filter((l) => l.t === t && l.tag === said.tag.toUpperCase());
      // Touched off on the part a tool has an H for each job: the one that was read is meant.
      const line =
        of.find((l) => l.h !== null && whyOther(said.h ?? '', l.h, machine.units) === null) ?? of[0];
      const parts = checked(i, t, said, line, machine.units, others, seen.has(t));
      seen.add(t);
      wrong.push(...parts);
      if (line && !parts.length) due.push({ line, d: said.d === undefined ? null : line.d });
    }
    if (wrong.length)
      throw new Problem('REFUSED', first(wrong).detail, {
        parts: wrong,
        wayOut:
          'Nothing was recorded. Look at the control, enter what the sheet says, read it back again; a sheet that was printed before may be older than the last measurement.',
      });
    moment.leansOn(machine.entryId);
    for (const { line, d } of due) {
      const assembly = found(await maybeAssembly(c, line.tag ?? ''), 'tag', line.tag, 'assembly');
      moment.leansOn(assembly.entryId);
      await insertRegisterGiven(c, moment.entryId, {
        machineId: machine.id,
        t: line.t,
        assemblyId: assembly.id,
        h: line.h,
        d,
        unit: machine.units,
        how: input.how,
      });
    }
    return { machine: machine.code, given: due.length, how: input.how };
  },
  says: (a) => `${a.given} T of ${a.machine} ${a.how}`,
});

/** What is wrong with one line; empty: it is as it should be. */
function checked(
  i: number,
  t: number,
  said: { tag: string; h?: string; d?: string },
  line: SheetLine | undefined,
  unit: 'mm' | 'inch',
  others: readonly { name: string; text: string }[],
  isTwice: boolean,
): ProblemPart[] {
  const part = (name: string, value: unknown, limit: string, detail: string): ProblemPart => ({
    field: `lines/${i}/${name}`,
    value,
    limit,
    detail,
  });
  if (isTwice) return [part('t', t, 'each T once', `T${t} is there twice: a control has it once`)];
  if (!line)
    return [part('tag', said.tag, 'what is tied to this T', `${said.tag} is not on T${t} of an open job`)];
  if (line.h === null)
    return [
      part(
        'h',
        said.h ?? null,
        line.lacks.join(', '),
        `H${t} has no figure to enter: ${line.lacks.join(', ')}`,
      ),
    ];
  const off = (name: 'h' | 'd', read: string | undefined, wanted: string | null) => {
    const register = `${name.toUpperCase()}${t}`;
    if (read === undefined)
      return name === 'h'
        ? [part('h', null, line.h ?? '', `${register} is to be read back: it should be ${wanted}`)]
        : [];
    if (wanted === null)
      return [part(name, read, 'left out', `${register} has no figure yet: ${line.lacks.join(', ')}`)];
    const why = whyOther(
      read,
      wanted,
      unit,
      others.filter((o) => o.name !== register),
    );
    return why === null
      ? []
      : [part(name, read, wanted, `${register} reads ${read}, it should be ${wanted}: ${why}`)];
  };
  return [...off('h', said.h, line.h), ...off('d', said.d, line.d)];
}
