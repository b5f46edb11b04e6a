import { type ReadOptions, readProgram } from '@/core/programs';
import { defineTask } from '@/crib/door';

/** Reads a program; answers with its report as JSON, which is stored and sent as it is, and with what is told of it. */
export const readProgramText = defineTask(
  'readProgramText',
  ({ text, options }: { text: string; options: Partial<ReadOptions> }) => {
    const report = readProgram(text, options);
    return {
      json: JSON.stringify(report),
      toolChanges: report.tool_changes,
      tools: report.tools.length,
      warnings: report.warnings.length,
      notUnderstood: report.not_understood.length,
      first: report.not_understood.slice(0, 3),
    };
  },
);
