import { MAGAZINES } from '@/core/pockets';
import { TAKES } from '@/core/registers';
import { defineVerb, field, found, maybeLength, maybeNumber, Problem, toNumber } from '@/crib/door';
import { insertMagazine, manyLoads } from '@/data/pockets';
import { maybeMachine } from '@/data/shop';

export const stateMagazine = defineVerb({
  name: 'stateMagazine',
  may: ['crib', 'planner'],
  path: 'magazines',
  summary:
    'State a machine’s magazine: its kind, pockets, and its maker’s limits of weight, length and diameter; what is left out is not known.',
  properties: {
    machine: field.code,
    kind: field.choice(MAGAZINES),
    pockets: field.whole(0, 400),
    weight: field.decimal(0.1, 500, 'kg, heaviest tool'),
    diameter: field.length(5, 1500, 'Widest tool with tools beside it.'),
    alone: field.length(5, 1500, 'Widest tool with both pockets beside it empty.'),
    length: field.length(20, 3000, 'Longest tool, from the gauge line.'),
    takes: {
      enum: TAKES,
      description: 'Whose H and D it takes when it changes to a sister: her own, or those the program calls.',
    },
  },
  required: ['machine', 'kind', 'pockets'],
  async run(c, input, moment) {
    const machine = found(await maybeMachine(c, input.machine), 'machine', input.machine, 'machine');
    const pockets = toNumber(input.pockets);
    const refuse = (field_: string, value: unknown, limit: string, words: string, wayOut: string) => {
      throw new Problem('INVALID_INPUT', words, { field: field_, value, limit, wayOut });
    };
    if (input.kind === 'by hand' ? pockets !== 0 : pockets === 0)
      refuse(
        'pockets',
        pockets,
        input.kind === 'by hand' ? '0' : '1 or more',
        input.kind === 'by hand'
          ? 'where tools are swapped by hand there are no pockets'
          : `a ${input.kind} has pockets`,
        'Correct the number, or the kind.',
      );
    const [diameter, alone] = [maybeLength(input.diameter), maybeLength(input.alone)];
    if (diameter && alone && alone.mm < diameter.mm)
      refuse(
        'alone',
        alone.entered,
        `at least ${diameter.entered}`,
        'a tool that stands alone may be as wide as one beside others',
        'Look at the maker’s sheet: the larger one is with the pockets beside it empty.',
      );
    // The last of them: room for that is room for all.
    const beyond = (await manyLoads(c, machine.id)).findLast((l) => l.pocket > pockets);
    if (beyond)
      refuse(
        'pockets',
        pockets,
        `at least ${beyond.pocket}`,
        `${beyond.tag} is in pocket ${beyond.pocket}`,
        'Take it out first.',
      );
    moment.leansOn(machine.entryId);
    const length = maybeLength(input.length);
    await insertMagazine(c, moment.entryId, {
      machineId: machine.id,
      kind: input.kind,
      pockets,
      weight: maybeNumber(input.weight),
      diameterMm: diameter?.mm ?? null,
      diameterEntered: diameter?.entered ?? null,
      aloneMm: alone?.mm ?? null,
      aloneEntered: alone?.entered ?? null,
      lengthMm: length?.mm ?? null,
      lengthEntered: length?.entered ?? null,
      takes: input.takes ?? null,
    });
    return { machine: machine.code, kind: input.kind, pockets };
  },
  says: (a) => `magazine of ${a.machine}: ${a.kind}${a.pockets ? ` of ${a.pockets}` : ''}`,
});
