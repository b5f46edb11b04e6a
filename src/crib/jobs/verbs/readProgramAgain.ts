import { defineVerb, field, found, Problem } from '@/crib/door';
import { readByMachine, readOtherwiseOn } from '@/crib/assemblies';
import { insertProgram, manyPrograms, maybeOperation, maybeProgramText } from '@/data/jobs';
import { maybeMachine } from '@/data/shop';
import { readProgramText } from '../tasks';

export const readProgramAgain = defineVerb({
  name: 'readProgramAgain',
  may: ['crib', 'planner'],
  path: 'programs/again',
  summary:
    'Read the program in force again, as its machine is taken for now: after its control, its rapid rate, its acceleration or corners were stated anew. Its text stays where it lies.',
  properties: { operation: field.number, program: field.number },
  required: ['operation', 'program'],
  async prepare(input, c, beside) {
    const operation = await maybeOperation(c, input.operation);
    const stored = await maybeProgramText(c, input.program);
    if (!operation || !stored) return null;
    const machine = await maybeMachine(c, operation.machine);
    const read = await beside(readProgramText, { text: stored.text, options: readByMachine(machine) });
    return { json: read.json, tools: read.tools, textOf: stored.textOf };
  },
  async run(c, input, moment, read) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    const machine = found(await maybeMachine(c, operation.machine), 'machine', operation.machine, 'machine');
    const [program] = await manyPrograms(c, [operation.id]);
    if (!program || program.entryId !== input.program || !read)
      throw new Problem('CONFLICT', 'Its program is another one by now', {
        field: 'program',
        value: input.program,
        limit: program ? `entry ${program.entryId} is in force` : 'none is in force',
        wayOut: 'Look at the program that is in force.',
      });
    const other = readOtherwiseOn(program, machine);
    if (!other.motion && other.figures.length === 0)
      throw new Problem('REFUSED', `${program.name} was read as ${machine.code} is taken for now`, {
        field: 'program',
        value: input.program,
        wayOut: 'Nothing is to be read again.',
      });
    moment.leansOn(operation.entryId);
    moment.leansOn(program.entryId);
    await insertProgram(c, moment.entryId, {
      operationId: operation.id,
      name: program.name,
      text: null,
      textOf: read.textOf,
      report: read.json,
    });
    return { job: operation.job, machine: machine.code, tools: read.tools };
  },
  says: (a) => `the program of ${a.job} read again for ${a.machine}`,
});
