import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { enterKindWords } from '../src/data/catalogue';
import { migrate, openDatabase } from '../src/data/database';
import { fillDemo } from './history';

/** Fills an empty folder with the demo shop: marked as begun before, as complete after. */
async function main(): Promise<void> {
  const folder = process.argv[2];
  if (!folder) throw new Error('usage: fill.ts FOLDER');
  const mark = (complete: boolean) =>
    writeFileSync(join(folder, 'demo.json'), JSON.stringify({ begun: new Date().toISOString(), complete }));
  mark(false);
  const db = await openDatabase(folder);
  await migrate(db);
  await enterKindWords(db);
  const program = (name: string) => readFileSync(join(__dirname, 'programs', name), 'utf8');
  const done = await fillDemo(db, new Date(process.env.STABLE_NOW ?? Date.now()), program);
  await db.close();
  mark(true);
  console.log(`Demo shop filled: ${done.entries} entries, ${done.lives} lives ended.`);
}

main().catch((error) => {
  console.error(error);
  process.exit(1);
});
