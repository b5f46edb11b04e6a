import { shrinkPicture } from './catalogue';
import { compute } from './computations';
import type { Task } from './door';
import { readList, writeList } from './exchange';
import { readProgramText } from './jobs';
import { checkCopy } from './keeping';

/** Everything that is done beside the server's own thread. The types of each are its own; by its name it is any. */
export const TASKS = [
  compute,
  readList,
  readProgramText,
  shrinkPicture,
  writeList,
] as unknown as readonly Task[];
