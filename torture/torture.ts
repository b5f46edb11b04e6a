// npm run torture [-- PART …]: what once stopped or broke a Stable, against ones of its own; prints figures, ends with 1
// on a fault. Parts: files list kill disk backups clients fuzz; TORTURE=0.1 does a tenth of each, TORTURE_SEED=2 draws other
// inputs: runs of different seeds add up.
import { availableParallelism } from 'node:os';
import { ensureBuilt } from '../scripts/prepare.mjs';
import { backups } from './backups';
import { manyClients } from './clients';
import { fullDisk } from './disk';
import { p95, somebody, tortureFiles } from './files';
import { fuzz } from './fuzz';
import { killedFirstStarts, killedLists, kills } from './kill';
import { startStable } from './server';
import { furnish, oneItem, oneList, oneReceived } from './shop';

const share = Number(process.env.TORTURE ?? 1);
const seed = Number(process.env.TORTURE_SEED ?? 1);
let faults = 0;
const judge = (good: boolean, words: string) => {
  if (!good) faults += 1;
  console.log(`${good ? 'ok    ' : 'FAULT '} ${words}`);
};
/** mulberry32: the same run from the same seed, each of its parts by a number of its own. */
function seeded(part: number): () => number {
  let a = part + 100 * (seed - 1);
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

const PARTS: Record<string, () => Promise<void>> = {
  async files() {
    // The first start makes the database, which takes more memory than any later one.
    const first = await startStable();
    await furnish(first);
    await first.end();
    const stable = await startStable(first.folder);
    for (let i = 0; i < 30; i += 1) await stable.get('/api/v1/items');
    const alone = somebody(stable);
    await new Promise((resolve) => setTimeout(resolve, 3000));
    const own = p95(await alone.stop());
    console.log(`others alone: p95 ${own.toFixed(0)} ms; memory ${stable.peakMegabytes()} MB`);
    for await (const { name, reply, others } of tortureFiles(stable)) {
      const memory = stable.peakMegabytes();
      judge(
        reply.status < 500 && reply.ms < 2000 && p95(others) <= Math.max(3 * own, 50) && memory < 700,
        `${name}: ${reply.status} in ${(reply.ms / 1000).toFixed(2)} s, ${(reply.text.length / 1000).toFixed(0)} kB; others p95 ${p95(others).toFixed(0)} ms, most ${Math.max(...others).toFixed(0)} ms of ${others.length}; memory ${memory} MB`,
      );
    }
    await stable.end();
  },
  async list() {
    const rows = Math.ceil(20_000 * Math.min(1, share * 10));
    const first = await startStable();
    await furnish(first);
    // A shop that has begun, and whose planner takes each entry for one of few rows: it counts at the start.
    for (let i = 0; i < 60; i += 1) await first.post('items', oneItem(`K${i}`));
    await first.end();
    const stable = await startStable(first.folder);
    for (let i = 0; i < 30; i += 1) await stable.get('/api/v1/items');
    const alone = somebody(stable);
    await new Promise((resolve) => setTimeout(resolve, 3000));
    const own = p95(await alone.stop());
    const content = oneList(rows);
    const other = somebody(stable);
    const booking = somebody(stable, () => stable.post('stock/received', oneReceived()), 500);
    const begun = performance.now();
    const preview = await stable.post('items/import-preview', { content });
    const seen = JSON.parse(preview.text) as { digest: string };
    const done = await stable.post('items/imported', {
      who: 'IK',
      name: 'list.csv',
      content,
      accepted: seen.digest,
    });
    const seconds = (performance.now() - begun) / 1000;
    const others = await other.stop();
    const written = await booking.stop();
    const megabytes = stable.peakMegabytes();
    judge(
      done.status === 201 && p95(others) <= Math.max(3 * own, 50) && megabytes < 700,
      `a list of ${rows} rows: ${done.status} in ${seconds.toFixed(1)} s, its preview ${(preview.text.length / 1000).toFixed(0)} kB; others p95 ${p95(others).toFixed(0)} ms (alone ${own.toFixed(0)}), most ${Math.max(...others).toFixed(0)} ms of ${others.length}; what they enter p95 ${p95(written).toFixed(0)} ms, most ${(Math.max(...written) / 1000).toFixed(1)} s of ${written.length}; memory ${megabytes} MB`,
    );
    await stable.end();
  },
  async kill() {
    const half = await killedFirstStarts(Math.ceil(10 * share), seeded(9));
    judge(
      half.begun === half.rounds,
      `first start killed, ${half.rounds} rounds: ${half.begun} started next`,
    );
    const l = await killedLists(Math.ceil(20 * share), 1000, seeded(10));
    judge(
      l.half === 0 && l.again === l.none,
      `killed while a list comes in, ${l.rounds} rounds: ${l.none} times nothing of it was there (${l.again} came in when sent again), ${l.whole} times all, ${l.half} times half of it`,
    );
    const k = await kills(Math.ceil(100 * share), seeded(8));
    judge(
      k.lost === 0 && k.tooMany === 0 && k.errors === 0,
      `kill -9, ${k.rounds} rounds: ${k.acknowledged} acknowledged, ${k.lost} lost, ${k.tooMany} doubled, ${k.errors} answers of 500`,
    );
  },
  async disk() {
    const d = await fullDisk();
    if (!d) return console.log('left out: no small disk can be mounted here (needs root)');
    judge(
      d.nearlyFull.write === 507 && d.nearlyFull.read === 200,
      `disk nearly full: a write ${d.nearlyFull.write}, a view ${d.nearlyFull.read}`,
    );
    judge(
      d.full.write === 507 && d.full.read === 200 && d.full.signIn === 200,
      `disk full to the last byte: a write ${d.full.write}, a view ${d.full.read}, a sign-in ${d.full.signIn}, in ${d.full.seconds.toFixed(1)} s`,
    );
    judge(
      d.anew.read === 200 && d.anew.write === 507,
      `killed and started anew on the full disk: a view ${d.anew.read}, a write ${d.anew.write}`,
    );
    judge(d.again === 201, `room again: a write ${d.again}`);
  },
  async backups() {
    const b = await backups(Math.ceil(20 * share));
    for (const line of b.said) console.log(`       ${line}`);
    judge(
      b.said.length === 0,
      `backups while four write: ${b.made} made, ${b.restored} restored to equal rows, ${b.archived} archives, ${b.broughtIn} brought in equal; ${b.written} entries written meanwhile`,
    );
  },
  async clients() {
    const { one, many, memory } = await manyClients(50, Math.max(10, 600 * share));
    judge(
      many.resets + many.errors === 0 &&
        many.readP95 <= Math.max(3 * one.readP95, 50) &&
        many.writeP95 <= Math.max(3 * one.writeP95, 50),
      `50 clients: ${many.reads} reads p95 ${many.readP95.toFixed(0)} ms (one alone ${one.readP95.toFixed(0)}), ${many.writes} writes p95 ${many.writeP95.toFixed(0)} ms (one alone ${one.writeP95.toFixed(0)}), ${many.resets} resets, ${many.errors} answers of 500; memory ${memory[0]} to ${memory[1]} MB`,
    );
  },
  async fuzz() {
    // A server answers on one core; each core gets one, on a folder of its own and with inputs of its own.
    const stables = await Promise.all(Array.from({ length: availableParallelism() }, () => startStable()));
    const inputs = Math.ceil((1_000_000 * share) / stables.length);
    const all = await Promise.all(
      stables.map((stable, i) =>
        fuzz(stable, { inputs, seconds: 3 * 3600 * share, random: seeded(20 + i), say: console.log }),
      ),
    );
    const memory = Math.max(...stables.map((stable) => stable.peakMegabytes()));
    for (const line of all.flatMap((f) => f.broke)) console.log(`       ${line}`);
    const sum = (of: (f: (typeof all)[number]) => number) => all.reduce((n, f) => n + of(f), 0);
    const sent = sum((f) => f.sent);
    const reached = sum((f) => f.reached);
    const statuses = [...new Set(all.flatMap((f) => Object.keys(f.statuses)))]
      .sort()
      .map((status) => `${status}: ${sum((f) => f.statuses[status] ?? 0)}`);
    judge(
      all.every((f) => f.broke.length === 0) && reached > 0.9 * sent,
      `${sent} random inputs at ${stables.length} servers, ${reached} of them came to their door: ${statuses.join(', ')}; memory ${memory} MB`,
    );
    for (const stable of stables) await stable.end();
  },
};

async function main(): Promise<void> {
  const asked = process.argv.slice(2);
  // Its servers run what is built, as `start --server` does: a new clone has nothing built yet.
  await ensureBuilt(process.env.STABLE_DIST);
  for (const [name, part] of Object.entries(PARTS)) if (!asked.length || asked.includes(name)) await part();
}
main().then(
  () => process.exit(faults ? 1 : 0),
  (error: unknown) => {
    console.error(error);
    process.exit(1);
  },
);
