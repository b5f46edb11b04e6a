/**
 * Work that is done beside the server's own thread: reading a file, a picture, a program, a long computation. It takes
 * and gives only what can be sent to another thread, and what it finds on the way it may tell in parts, so that neither
 * side holds all of it twice and others are let in between.
 */
export interface Task<Input = unknown, Output = unknown, Part = unknown> {
  name: string;
  run(input: Input, tell: (part: Part) => void): Output | Promise<Output>;
}

export const defineTask = <Input, Output, Part = never>(
  name: string,
  run: Task<Input, Output, Part>['run'],
): Task<Input, Output, Part> => ({ name, run });

/** How a crib has tasks done: by a pool of workers with limits of time and memory, or, in tests and scripts, here. */
export type Beside = <Input, Output, Part>(
  task: Task<Input, Output, Part>,
  input: Input,
  options?: {
    hear?: (part: Part) => void;
    signal?: AbortSignal;
    /** How long it may take, where that is more than a file that somebody sends may. */
    seconds?: number;
  },
) => Promise<Output>;

/** In this very thread. */
export const here: Beside = async (task, input, { hear = () => undefined } = {}) => task.run(input, hear);

/** Between two steps of long work in the server's own thread: whoever waits is answered first. */
export const letOthersIn = (): Promise<void> => new Promise((resolve) => void setImmediate(resolve));
