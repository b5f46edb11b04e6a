import { LIMITS } from '@/core/limits';
import { defineVerb, field, found, Problem } from '@/crib/door';
import { readByMachine } from '@/crib/assemblies';
import { insertProgram, maybeOperation } from '@/data/jobs';
import { maybeMachine } from '@/data/shop';
import { checkProgramText } from '../checkProgramText';
import { readProgramText } from '../tasks';

export const storeProgram = defineVerb({
  name: 'storeProgram',
  may: ['crib', 'planner'],
  path: 'programs',
  summary:
    'Store the NC program of an operation: read at once; earlier programs stay, parts keep the minutes of theirs.',
  properties: {
    operation: field.number,
    name: field.words(80),
    // How long it may be is asked below, in words; here only of what size a body may be.
    text: { type: 'string', maxLength: 2 * LIMITS.programCharacters.most },
  },
  required: ['operation', 'text'],
  async prepare(input, c, beside) {
    checkProgramText(input.text);
    const operation = await maybeOperation(c, input.operation);
    const machine = operation ? await maybeMachine(c, operation.machine) : null;
    return beside(readProgramText, {
      text: input.text,
      options: readByMachine(machine),
    });
  },
  async run(c, input, moment, read) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    if (read.toolChanges === 0)
      throw new Problem('INVALID_INPUT', 'No tool change was found in this text', {
        field: 'text',
        value: input.text.slice(0, 40),
        limit: 'a program with T and M6 (or T and M0)',
        wayOut:
          'Check that it is the right file. The first lines not understood: ' +
          (read.first.map((n) => `line ${n.line} “${n.text.slice(0, 20)}”`).join(', ') || 'none') +
          '.',
      });
    moment.leansOn(operation.entryId);
    await insertProgram(c, moment.entryId, {
      operationId: operation.id,
      name: input.name?.trim() ?? 'program',
      text: input.text,
      report: read.json,
    });
    return {
      operation: operation.id,
      tools: read.tools,
      warnings: read.warnings,
      notUnderstood: read.notUnderstood,
    };
  },
  says: (a) => `program with ${a.tools} tools`,
});
