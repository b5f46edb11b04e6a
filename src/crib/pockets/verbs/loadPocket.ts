import type { Judgement } from '@/core/because';
import { judgePocket, type Magazine } from '@/core/pockets';
import { first, held } from '@/core/sure';
import { goesInto, standing } from '@/crib/assemblies';
import { defineVerb, field, found, maybeNumber, Problem, toNumber } from '@/crib/door';
import { standsInAt } from '@/crib/rack';
import type { AssemblyRow } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import { manyTiesOfAssemblies, manyOperationsById } from '@/data/jobs';
import { insertPocketLoad, type LoadRow, manyKept, manyLoads, maybeMagazine } from '@/data/pockets';
import { type MachineRow, maybeMachine } from '@/data/shop';
import { asTools, type InMachine, magazineOf, toolsIn, useHere } from '../inPockets';

/** Puts an assembly into a pocket, from the crib, another pocket or another machine. */
export const loadPocket = defineVerb({
  name: 'loadPocket',
  may: ['crib', 'operator'],
  path: 'pockets/loaded',
  summary:
    'Put an assembly into a pocket under its T, H and D, from wherever it is: judged by weight, length and room; in the place of what is there, or swapped with it.',
  properties: {
    machine: field.code,
    pocket: field.whole(1, 400),
    tag: field.words(20),
    t: field.whole(0, 9999),
    h: field.whole(0, 9999),
    d: field.whole(0, 9999),
    instead: {
      enum: ['out', 'swap'],
      description: 'What is in the pocket goes out, or where this one came from',
    },
    counter: {
      enum: ['zero', 'kept'],
      description: 'Whether the machine’s own life counter was set to zero',
    },
    despite: field.words(200),
  },
  required: ['machine', 'pocket', 'tag'],
  async run(c, input, moment) {
    const machine = found(await maybeMachine(c, input.machine), 'machine', input.machine, 'machine');
    const magazine = await maybeMagazine(c, machine.id);
    const pocket = toNumber(input.pocket);
    if (!magazine || pocket > magazine.pockets)
      throw new Problem('REFUSED', `${machine.code} has no pocket ${pocket}`, {
        field: 'pocket',
        value: pocket,
        limit: magazine ? `1 to ${magazine.pockets}` : 'a magazine that is stated',
        wayOut: magazine ? 'Look at the number on the magazine.' : 'State its magazine first.',
      });
    const assembly = await standing(c, moment, input.tag);
    await goesInto(c, assembly.holderItemId, machine.code);
    const loads = await manyLoads(c, machine.id);
    const from = loads.find((l) => l.assemblyId === assembly.id) ?? null;
    const there = loads.find((l) => l.pocket === pocket && l.assemblyId !== assembly.id) ?? null;
    const swap = there !== null && from !== null && input.instead === 'swap';
    if (there && (input.instead === undefined || (input.instead === 'swap' && !from)))
      throw new Problem('CONFLICT', `${there.tag} is in pocket ${pocket}`, {
        field: 'pocket',
        value: pocket,
        limit: 'an empty pocket',
        wayOut: 'Choose another, or say that it goes out; two of one machine can be swapped.',
      });
    const others = loads.filter((l) => l.assemblyId !== assembly.id && (l !== there || swap));
    const t = maybeNumber(input.t) ?? from?.t ?? (await usualT(c, machine, assembly)) ?? pocket;
    const tools = await asTools(c, [assembly.id, ...others.map((l) => l.assemblyId)], machine, 'UTC');
    mustBeFreeT(t, others, (id) => held(tools, id).row.cutterItemId === assembly.cutterItemId);
    const h = registerFor(maybeNumber(input.h) ?? (from?.t === t ? from.h : null), t, others);
    const judgements = judged(magazineOf(magazine), tools, others, {
      into: pocket,
      id: assembly.id,
      swapped: swap ? { into: from.pocket, id: there.assemblyId } : null,
    });
    const stops = judgements.filter((j) => j.grade === 'stop');
    if (stops.length && !input.despite)
      throw new Problem('REFUSED', stops.map((j) => j.words).join('. '), {
        field: 'pocket',
        value: pocket,
        limit: first(stops).because.formula ?? first(stops).because.words,
        wayOut: 'Choose another pocket; or say in ‘despite’ why it is right all the same.',
      });
    moment.leansOn(machine.entryId);
    moment.leansOn(magazine.entryId);
    moment.leansOn(assembly.entryId);
    const d = maybeNumber(input.d) ?? (from?.t === t ? from.d : null) ?? h;
    const counterZero = input.counter === undefined ? (from?.counterZero ?? null) : input.counter === 'zero';
    await insertPocketLoad(c, moment.entryId, {
      machineId: machine.id,
      pocket,
      ...{ assemblyId: assembly.id, t, h, d, counterZero },
    });
    if (swap)
      await insertPocketLoad(c, moment.entryId, {
        machineId: machine.id,
        pocket: from.pocket,
        ...{
          assemblyId: there.assemblyId,
          t: there.t,
          h: there.h,
          d: there.d,
          counterZero: there.counterZero,
        },
      });
    const { card } = held(tools, assembly.id);
    const under = { machineId: machine.id, machine: machine.code, t };
    const use = useHere(card, machine, await standsInAt(c, card, under));
    return {
      machine: machine.code,
      pocket,
      tag: assembly.tag,
      // What is in the machine is booked as it is; who brought it hears that it must not run.
      stop: use?.grade === 'stop' ? (use.why ?? 'it must not run here') : null,
      ...{ t, h, d },
      out: there && !swap ? there.tag : null,
      judgements: judgements.filter((j) => j.grade !== 'good'),
    };
  },
  says: (a) => `${a.tag} into pocket ${a.pocket} of ${a.machine} as T${a.t}`,
});

interface Move {
  into: number;
  id: number;
}

/** How it goes into its pocket, and the other into its when they are swapped. */
function judged(
  magazine: Magazine,
  tools: ReadonlyMap<number, InMachine>,
  others: readonly LoadRow[],
  { swapped, ...own }: Move & { swapped: Move | null },
): Judgement[] {
  const rest = toolsIn(
    others.filter((l) => l.assemblyId !== swapped?.id),
    tools,
  );
  const one = (move: Move, other: Move | null) =>
    judgePocket(
      magazine,
      move.into,
      held(tools, move.id).tool,
      new Map(other ? [...rest, [other.into, held(tools, other.id).tool]] : rest),
    );
  return [...one(own, swapped), ...(swapped ? one(swapped, own) : [])];
}

/** The T an assembly usually has on a machine: that of its open job there, or the one its cutter is kept under. */
async function usualT(c: Connection, machine: MachineRow, assembly: AssemblyRow): Promise<number | null> {
  const ties = await manyTiesOfAssemblies(c, [assembly.id]);
  const operations = await manyOperationsById(c, [...new Set(ties.map((t) => t.operationId))]);
  const here = new Set(operations.filter((o) => o.machineId === machine.id).map((o) => o.id));
  const tied = ties.find((t) => here.has(t.operationId));
  if (tied) return tied.t;
  return (await manyKept(c, machine.id)).find((k) => k.itemId === assembly.cutterItemId)?.t ?? null;
}

/** A control has each T once, or for sister tools: several edges of one cutter under one T. */
function mustBeFreeT(t: number, others: readonly LoadRow[], isSister: (assemblyId: number) => boolean): void {
  const other = others.find((l) => l.t === t && !isSister(l.assemblyId));
  if (other)
    throw new Problem('CONFLICT', `T${t} is ${other.tag} in pocket ${other.pocket}`, {
      field: 't',
      value: t,
      limit: 'a T that is free here, or of the same cutter',
      wayOut: `Take ${other.tag} out first, or give it another T.`,
    });
}

/** The H it is called with: its T, unless a sister has that one; then it is to be said. */
function registerFor(said: number | null, t: number, others: readonly LoadRow[]): number {
  const n = said ?? t;
  const other = others.find((l) => l.h === n);
  if (!other) return n;
  throw new Problem('CONFLICT', `H${n} holds the length of ${other.tag}`, {
    field: 'h',
    value: n,
    limit: 'an H that is free here',
    wayOut: 'Sister tools share their T and have an H and D each: say which this one has.',
  });
}
