// One contender of the reading of programs, by itself in a process as a worker of the page is: what others compiled and left
// lying about is not its own. Prints the least that a reading of the whole took, ms.
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';

const [name, bundle, file, rounds] = process.argv.slice(2);
const load = createRequire(import.meta.url);
const bytes = new Uint8Array(readFileSync(file));
/** The peers take a quarter of it: they take half a minute for all. */
const share = name === 'plain' || name === 'ours' ? 1 : 0.25;
const text = share < 1 ? new TextDecoder().decode(bytes).slice(0, bytes.length * share) : '';
const { readProgram, bytesSource } = load(bundle);
const Peer = share < 1 ? load(name) : null;
const work = () =>
  name === 'plain'
    ? new TextDecoder().decode(bytes).split('\n').length
    : name === 'ours'
      ? readProgram(bytesSource(bytes))
      : new Peer({}).loadFromStringSync(text);

let least = Infinity;
for (let round = 0; round < Number(rounds); round += 1) {
  const from = performance.now();
  work();
  least = Math.min(least, (performance.now() - from) / share);
}
console.log(least);
