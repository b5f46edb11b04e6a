// npx tsx --conditions=react-server bench/released.ts: lays down the small shop of the schema of now, for the releases that
// come after (src/crib/keeping/released.test.ts). Once a release; one that was laid down is never written anew.
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { writeArchive } from '../src/crib/keeping';
import { furnish, oneToolProgram, openTestCrib } from '../src/crib/testing';

const MIGRATIONS = join(process.cwd(), 'src', 'data', 'migrations');
const schema = readdirSync(MIGRATIONS).sort().at(-1)?.slice(0, 4) ?? '0000';
const to = join(process.cwd(), 'src', 'crib', 'keeping', 'released', `${schema}.zip`);

async function main(): Promise<void> {
  if (existsSync(to)) throw new Error(`${to} was laid down already`);
  const crib = await openTestCrib();
  await furnish(crib);
  const receive = (more: object) => crib.do('receiveStock', { item: 'EM10', place: 'S1', ...more });
  await crib.do('addPerson', { initials: 'TO', name: 'Tor Olander' });
  await receive({ quantity: 20, lot: 'B7', supplier: 'NORD' });
  await receive({ quantity: 6 });
  const job = {
    number: 'J-1',
    part: 'Block',
    material: 'C45',
    quantity: 40,
    due: '2027-01-20',
    machine: 'M2',
  };
  const { operation } = await crib.do('addJob', { ...job, highestBeside: 0 });
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 3, -20) });
  const build = (stickout: number) =>
    crib.do('buildAssembly', {
      cutter: { item: 'EM10', place: 'S1' },
      holder: { item: 'SL10', place: 'S1' },
      stickout,
    });
  await build(34);
  await crib.do('tieTool', { operation, t: 7, tag: 'A-0001' });
  await crib.do('recordMeasurement', { tag: 'A-0001', gaugeLength: 94.112, diameter: 9.98 });
  await crib.do('logParts', { operation, parts: 10 });
  await crib.do('planTool', { operation, t: 7, does: 'roughs', item: 'EM10' });
  await crib.do('writeSetupSheet', { operation, drawing: 'D-1', stockZ: 30, zeroZ: 30, parallels: 5 });
  await crib.do('signSetup', { operation, step: 'written' });
  await crib.do('recordCycle', { operation, minutes: 3.4 });
  await crib.do('moveKit', { operation, tag: 'A-0001', to: 'cart' });
  await crib.do('recordWear', { tag: 'A-0001', flankWear: 0.12 });
  await crib.do('placeOrder', { item: 'EM10', quantity: 6, promised: '2027-02-01' });
  await crib.do('receiveOrder', { number: 'O-0001', place: 'S1', quantity: 2 });
  await build(36);
  await crib.do('endLife', { tag: 'A-0002', kind: 'worn', cutterTo: 'USED' });
  await crib.do('setBackups', { made: 'every night', folder: '/tmp', at: '02:00', keep: 14 });
  const { entry } = await receive({ quantity: 3 });
  await crib.do('counterEntry', { counters: entry });
  await writeArchive(crib.db, to, '2027-01-05T09:00:00.000Z');
  console.log(to);
}
main().then(
  () => process.exit(0),
  (error: unknown) => {
    console.error(error);
    process.exit(1);
  },
);
