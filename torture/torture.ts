// npm run torture: what once stopped or broke a Stable, against one of its own; prints figures, ends with 1 on a fault.
import { somebody, tortureFiles, p95 } from './files';
import { startStable } from './server';

async function main(): Promise<number> {
  let faults = 0;
  const judge = (good: boolean, words: string) => {
    if (!good) faults += 1;
    console.log(`${good ? 'ok    ' : 'FAULT '} ${words} (${Math.round(performance.now() / 1000)} s)`);
  };
  // The first start makes the database, which takes more memory than any later one.
  const first = await startStable();
  await first.end();
  const stable = await startStable(first.folder);
  await stable.post('people', { who: 'IK', initials: 'IK', name: 'Ida Kern' });
  await stable.post('items', {
    who: 'IK',
    code: 'EM10',
    kind: 'cutter',
    family: 'square',
    facts: { DC: { value: '10', origin: 'maker' } },
  });
  for (let i = 0; i < 30; i += 1) await stable.get('/api/v1/items');
  const alone = somebody(stable);
  await new Promise((resolve) => setTimeout(resolve, 3000));
  const own = p95(await alone.stop());
  console.log(`others alone: p95 ${own.toFixed(0)} ms; memory ${stable.peakMegabytes()} MB`);
  for await (const { name, reply, others } of tortureFiles(stable)) {
    const memory = stable.peakMegabytes();
    const slow = others.length > 3 && p95(others) > Math.max(3 * own, 50);
    judge(
      reply.status < 500 && reply.ms < 2000 && !slow && memory < 700,
      `${name}: ${reply.status} in ${(reply.ms / 1000).toFixed(2)} s, ${(reply.text.length / 1000).toFixed(0)} kB; others p95 ${p95(others).toFixed(0)} ms, most ${Math.max(...others).toFixed(0)} ms of ${others.length}; memory ${memory} MB`,
    );
  }
  await stable.end();
  return faults;
}

main().then(
  (faults) => process.exit(faults ? 1 : 0),
  (error: unknown) => {
    console.error(error);
    process.exit(1);
  },
);
