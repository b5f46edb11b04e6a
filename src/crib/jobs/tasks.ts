import { closeSync, fstatSync, openSync, readSync } from 'node:fs';
import {
  NotRenumbered,
  type ProgramSource,
  readProgram,
  type ReadOptions,
  type Renumbered,
  renumberProgram,
} from '@/core/programs';
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

/** A program with other numbers for its tools, read anew; or the line for which it can't be done, and why. */
export const renumberText = defineTask(
  'renumberText',
  ({
    text,
    numbers,
    options,
  }: {
    text: string;
    numbers: readonly Renumbered[];
    options: Partial<ReadOptions>;
  }) => {
    try {
      const { changed, left, ...made } = renumberProgram(text, numbers);
      return { text: made.text, json: reportOf(made.text, options).json, changed, left: left.length };
    } catch (error) {
      if (!(error instanceof NotRenumbered)) throw error;
      return { line: error.line, why: error.why };
    }
  },
);

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
