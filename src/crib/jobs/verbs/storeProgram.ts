import { readProgram } from '@/core/programs';
import { defineVerb, field, found, Problem } from '@/crib/door';
import { insertProgram, maybeOperation } from '@/data/jobs';
import { maybeMachine } from '@/data/shop';
import { checkProgramText } from '../checkProgramText';

export const storeProgram = defineVerb({
  name: 'storeProgram',
  path: 'programs',
  summary:
    'Store the NC program of an operation: read at once; earlier programs stay, parts keep the minutes of theirs.',
  properties: { operation: { type: 'integer' }, name: field.words(80), text: { type: 'string' } },
  required: ['operation', 'text'],
  async prepare(input, c) {
    checkProgramText(input.text);
    const operation = await maybeOperation(c, input.operation);
    const machine = operation && (await maybeMachine(c, operation.machine));
    const report = readProgram(input.text, { withoutPoint: machine?.withoutPoint ?? null });
    return { report, json: JSON.stringify(report) };
  },
  async run(c, input, moment, { report, json }) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    if (report.tool_changes === 0)
      throw new Problem('INVALID_INPUT', 'No tool change was found in this text', {
        field: 'text',
        value: input.text.slice(0, 40),
        limit: 'a program with T and M6 (or T and M0)',
        wayOut:
          'Check that it is the right file. The first lines not understood: ' +
          (report.not_understood
            .slice(0, 3)
            .map((n) => `line ${n.line} “${n.text.slice(0, 20)}”`)
            .join(', ') || 'none') +
          '.',
      });
    moment.leansOn(operation.entryId);
    await insertProgram(c, moment.entryId, {
      operationId: operation.id,
      name: input.name?.trim() ?? 'program',
      text: input.text,
      report: json,
    });
    return {
      operation: operation.id,
      tools: report.tools.length,
      warnings: report.warnings.length,
      notUnderstood: report.not_understood.length,
    };
  },
  says: (a) => `program with ${a.tools} tools`,
});
