import { connect } from 'node:net';
import { type LineRead, readLine } from '@/core/devices';
import { Problem } from '@/crib/door';

/** What a device is asked: to read what is in it, its master, or to say its last reading again. Aims in mm; `block`: of a height stand, what its dial stands against. */
export type Ask =
  | { what: 'READ'; length: number; diameter: number | null; block: number | null }
  | { what: 'ZERO'; length: number; block: number | null }
  | { what: 'LAST' };

/** How long a device may take for one reading, ms. */
const PATIENCE_MS = 4000;
/** Longer than any line of its. */
const MOST_CHARACTERS = 400;

const one = (letter: string, mm: number | null): string => (mm === null ? '' : ` ${letter}=${mm.toFixed(4)}`);
const words = (ask: Ask): string =>
  ask.what === 'LAST'
    ? 'LAST'
    : `${ask.what}${one('L', ask.length)}${one('D', ask.what === 'READ' ? ask.diameter : null)}${one('B', ask.block)}`;

/**
 * Asks a device on this machine one thing and gives back the line that came, read. Nothing is asked twice by itself: a
 * reading that was taken and not heard is had by LAST, under the same count. Refused where nothing answers.
 */
export function askDevice(code: string, port: number, ask: Ask, patience = PATIENCE_MS): Promise<LineRead> {
  return new Promise((resolve, reject) => {
    let text = '';
    const socket = connect({ host: '127.0.0.1', port });
    const end = (done: () => void) => {
      socket.destroy();
      done();
    };
    const silent = (what: string, wayOut: string) =>
      end(() =>
        reject(new Problem('DEVICE_SILENT', `${code} ${what}`, { field: 'device', value: code, wayOut })),
      );
    socket.setEncoding('ascii');
    socket.setTimeout(patience, () =>
      silent('gave no answer', 'Ask for its last reading; or look at the device, or type the length.'),
    );
    socket.once('connect', () => socket.write(`${words(ask)}\n`));
    socket.once('error', () =>
      silent(`does not answer on port ${port}`, 'Switch it on, or type the length.'),
    );
    socket.once('close', () =>
      silent('hung up before it answered', 'Ask for its last reading; or type the length.'),
    );
    socket.on('data', (more: string) => {
      text += more;
      const line = text.slice(0, text.indexOf('\n') + 1);
      if (line || text.length > MOST_CHARACTERS) end(() => resolve(readLine(line || text)));
    });
  });
}
