// What the simulated devices have in common: a line in, a line out, a count of their own, noise, drift, and faults in turn.
import { createServer } from 'node:net';

const option = (name, otherwise) => {
  const i = process.argv.indexOf(`--${name}`);
  return i < 0 ? otherwise : process.argv[i + 1];
};
const withSum = (words) =>
  `${words} ${([...words].reduce((n, c) => n + c.charCodeAt(0), 0) % 256).toString(16).toUpperCase().padStart(2, '0')}`;
/**
 * How far a tool really is from where it looks: the same each time it is put in. An aim to the thousandth is a length that
 * was measured before, and the tool is as it was; a rounder one is what it was built to.
 */
const ownOff = (aim) =>
  Math.abs(aim * 10 - Math.round(aim * 10)) > 1e-6 ? 0 : ((Math.round(aim * 1000) * 7919) % 200) / 1000 - 0.1;

/**
 * Serves a device until whoever started it is gone.
 * @param {string} name
 * @param {string} usualPort
 * @param {(asked: { length: number, diameter: number | null, block: number | null, isMaster: boolean, own: number, drift: number, noise: () => number, isFar: boolean }) => string} measure
 *   What one reading says after its count.
 */
export function serve(name, usualPort, measure) {
  const port = Number(option('port', usualPort));
  /** Spread of one reading, and how far all lengths are off by now, mm. */
  const spread = Number(option('noise', '0.001'));
  const drift = Number(option('drift', '0'));
  /** Faults in turn, one a reading; 'ok' is none. */
  const faults = option('faults', 'ok').split(',');
  let seed = Number(option('seed', '7'));
  const chance = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
  /** About normal: twelve chances less their mean. */
  const noise = () => Array.from({ length: 12 }, chance).reduce((a, b) => a + b, -6) * spread;

  // It counts on from the clock, so that one that was switched off does not count the same twice.
  let serial = Number(option('first', String(Math.floor(Date.now() / 1000) % 1_000_000_000)));
  let taken = 0;
  let last = null;
  const read = (length, diameter, block, isMaster) => {
    serial += 1;
    const fault = faults[taken % faults.length];
    taken += 1;
    const own = isMaster ? 0 : ownOff(length);
    const isFar = fault === 'far';
    last = withSum(`R ${serial} ${measure({ length, diameter, block, isMaster, own, drift, noise, isFar })}`);
    if (fault === 'none') return null;
    return fault === 'garbled' ? last.replace(/\d(?=\d{3} )/, '#') : last;
  };

  const server = createServer((socket) => {
    let rest = '';
    socket.setEncoding('ascii');
    socket.on('error', () => socket.destroy());
    socket.on('data', (text) => {
      rest += text;
      if (rest.length > 1000) return socket.destroy();
      const lines = rest.split('\n');
      rest = lines.pop() ?? '';
      for (const line of lines) {
        const [, word, L, D, B] =
          /^(READ|ZERO|LAST)(?: L=([\d.]+))?(?: D=([\d.]+))?(?: B=([\d.]+))?\s*$/.exec(line) ?? [];
        const number = (said) => (said === undefined ? null : Number(said));
        const answer =
          word === 'LAST'
            ? (last ?? withSum('E nothing was read yet'))
            : word && L
              ? read(Number(L), number(D), number(B), word === 'ZERO')
              : withSum('E not understood');
        if (answer !== null) socket.write(`${answer}\n`);
      }
    });
  });
  // Another demo has the port: that one answers.
  server.on('error', (error) => {
    console.error(`${name}: ${error.message}`);
    process.exit(1);
  });
  // It is of no use to anybody without whoever started it.
  const startedBy = process.ppid;
  setInterval(() => process.ppid !== startedBy && process.exit(0), 2000).unref();
  server.listen(port, '127.0.0.1', () => console.log(`${name} at 127.0.0.1:${server.address().port}`));
  for (const signal of ['SIGINT', 'SIGTERM'])
    process.on(signal, () => server.close(() => process.exit(0)) && process.exit(0));
}
