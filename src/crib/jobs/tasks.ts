import { closeSync, fstatSync, openSync, readSync } from 'node:fs';
import { type ProgramSource, readProgram, type ReadOptions } from '@/core/programs';
import { defineTask } from '@/crib/door';

/** Reads a program; answers with its report as JSON, which is stored and sent as it is, and with what is told of it. */
export const readProgramText = defineTask(
  'readProgramText',
  ({ text, options }: { text: string; options: Partial<ReadOptions> }) => reportOf(text, options),
);

/** The same of a program that lies in a file, of which no more than a piece is held. */
export const readProgramFile = defineTask(
  'readProgramFile',
  ({ file, options }: { file: string; options: Partial<ReadOptions> }) => {
    const open = openSync(file, 'r');
    try {
      return reportOf(fileSource(open), options);
    } finally {
      closeSync(open);
    }
  },
);

const fileSource = (file: number): ProgramSource => ({
  size: fstatSync(file).size,
  read: (from, into) => readSync(file, into, 0, into.length, from),
});

function reportOf(program: string | ProgramSource, options: Partial<ReadOptions>) {
  const report = readProgram(program, options);
  return {
    json: JSON.stringify(report),
    toolChanges: report.tool_changes,
    tools: report.tools.length,
    warnings: report.warnings.length,
    notUnderstood: report.not_understood.length,
    first: report.not_understood.slice(0, 3),
  };
}
