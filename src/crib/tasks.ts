import { shrinkPicture } from './catalogue';
import { compute } from './computations';
import type { Task } from './door';
import { readList, writeList } from './exchange';
import { readProgramText } from './jobs';
import { checkCopy } from './keeping';

/** Everything that is done beside the server's own thread. */
export const TASKS: readonly Task[] = [
  checkCopy,
  compute,
  readList,
  readProgramText,
  shrinkPicture,
  writeList,
];
