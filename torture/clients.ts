import { furnish, oneReceived } from './shop';
import { p95 } from './files';
import { startStable, type Stable } from './server';

interface Figures {
  reads: number;
  writes: number;
  readP95: number;
  writeP95: number;
  resets: number;
  errors: number;
}
const VIEWS = ['today', 'items', 'stock', 'jobs', 'orders', 'assemblies', 'lives', 'entries'];

async function work(stable: Stable, clients: number, seconds: number): Promise<Figures> {
  const reads: number[] = [];
  const writes: number[] = [];
  let resets = 0;
  let errors = 0;
  const until = Date.now() + seconds * 1000;
  const client = async (n: number) => {
    // They don’t all come through the door at once.
    await new Promise((resolve) => setTimeout(resolve, (n * 2000) / clients));
    for (let i = n; Date.now() < until; i += 1) {
      try {
        const isWrite = i % 5 === 0;
        const reply = isWrite
          ? await stable.post('stock/received', oneReceived())
          : await stable.get(`/api/v1/${VIEWS[i % VIEWS.length]}`);
        (isWrite ? writes : reads).push(reply.ms);
        if (reply.status >= 500) errors += 1;
      } catch {
        resets += 1;
      }
      // A person looks at what came: each asks every one to three seconds.
      await new Promise((resolve) => setTimeout(resolve, 1000 + ((n * 997) % 2000)));
    }
  };
  await Promise.all(Array.from({ length: clients }, (_, n) => client(n)));
  return {
    reads: reads.length,
    writes: writes.length,
    readP95: p95(reads),
    writeP95: p95(writes),
    resets,
    errors,
  };
}

/** One client alone, then many at once, who read and write; and how much memory the server had meanwhile. */
export async function manyClients(
  clients: number,
  seconds: number,
): Promise<{ one: Figures; many: Figures; memory: [before: number, after: number] }> {
  const stable = await startStable();
  await furnish(stable);
  for (const view of VIEWS) await stable.get(`/api/v1/${view}`);
  const one = await work(stable, 1, Math.min(20, seconds));
  const before = stable.peakMegabytes();
  const many = await work(stable, clients, seconds);
  const after = stable.peakMegabytes();
  await stable.end();
  return { one, many, memory: [before, after] };
}
