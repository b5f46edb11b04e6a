/**
 * Who reads what is printed may go: a supervisor that was killed, a pipe that was closed. What is printed then is lost, and no
 * fault; unheard, it would end a process, or be printed as one for ever.
 */
export function printUnread() {
  for (const stream of [process.stdout, process.stderr]) stream.on('error', () => undefined);
}
