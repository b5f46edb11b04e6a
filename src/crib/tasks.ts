import { shrinkPicture } from './catalogue';
import { compute } from './computations';
import type { Task } from './door';
import { readList, writeList } from './exchange';
import { readProgramFile, readProgramText, renumberText } from './jobs';
import { archiveCopy, checkCopy, lockCopy } from './keeping';

/** Everything that is done beside the server's own thread. */
export const TASKS: readonly Task[] = [
  archiveCopy,
  checkCopy,
  compute,
  lockCopy,
  readList,
  readProgramFile,
  readProgramText,
  renumberText,
  shrinkPicture,
  writeList,
];
