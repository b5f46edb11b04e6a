import { goesInto, standing } from '@/crib/assemblies';
import { mustBeClear } from '@/crib/breakage';
import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { insertTie, manyPrograms, maybeOperation } from '@/data/jobs';
import { t } from '../toolNumber';

export const tieTool = defineVerb({
  name: 'tieTool',
  may: ['crib', 'planner', 'operator'],
  path: 'ties',
  summary: 'Tie a T of an operation to an assembly, or free it (tag left out).',
  properties: { operation: field.number, t, tag: field.words(20) },
  required: ['operation', 't'],
  async run(c, input, moment) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    const number = toNumber(input.t);
    const [program] = await manyPrograms(c, [operation.id]);
    if (!program)
      throw new Problem('REFUSED', 'This operation has no program yet', {
        field: 'operation',
        value: operation.id,
        wayOut: 'Paste its program first.',
      });
    if (!program.tools.some((tool) => tool.t === number))
      throw new Problem('INVALID_INPUT', `The program does not use T${number}`, {
        field: 't',
        value: number,
        limit: program.tools.map((x) => `T${x.t}`).join(', '),
      });
    const assembly = input.tag === undefined ? null : await standing(c, moment, input.tag);
    if (assembly) {
      await goesInto(c, assembly.holderItemId, operation.machine);
      await mustBeClear(c, moment, operation.id, number, 't');
    }
    moment.leansOn(operation.entryId);
    moment.leansOn(assembly?.entryId ?? null);
    await insertTie(c, moment.entryId, {
      operationId: operation.id,
      t: number,
      assemblyId: assembly?.id ?? null,
    });
    return { operation: operation.id, t: number, tag: assembly?.tag ?? null };
  },
  says: (a) => `T${a.t} ${a.tag ? `is ${a.tag}` : 'freed'}`,
});
