// npm run licences: every package that is installed with its licence, by licence. One without a licence ends it with 1.
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './prepare.mjs';

/** What a package's own file says of its licence, in the old forms too; null: nothing. */
function licenceOf(folder) {
  const { license, licenses } = JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8'));
  const said = [license, licenses].flat().map((l) => (typeof l === 'object' ? l?.type : l));
  return said.filter(Boolean).join(' OR ') || byItsText(folder);
}

/** Where the package's file forgot it: what the licence that lies in it calls itself; null: none, or another. */
function byItsText(folder) {
  const file = readdirSync(folder).find((f) => /^(licen[cs]e|copying)/i.test(f));
  const text = file ? readFileSync(join(folder, file), 'utf8') : '';
  return /^\s*(The )?MIT License/i.test(text) ? 'MIT' : null;
}

const { packages } = JSON.parse(readFileSync(join(ROOT, 'package-lock.json'), 'utf8'));
const by = new Map();
for (const [path, { version, license, dev }] of Object.entries(packages)) {
  // Those for other systems are in the lock and not on the disk: the lock knows their licence.
  const folder = join(ROOT, path);
  if (!path) continue;
  const licence = license ?? (existsSync(join(folder, 'package.json')) ? licenceOf(folder) : null) ?? 'none';
  const text = existsSync(folder) && readdirSync(folder).some((f) => /^(licen[cs]e|copying)/i.test(f));
  const name = `${path.replace(/^.*node_modules\//, '')} ${version}${dev ? ' (for building and testing)' : ''}`;
  by.set(licence, [...(by.get(licence) ?? []), text || licence !== 'none' ? name : `${name}: no licence`]);
}
for (const [licence, names] of [...by].sort(([a], [b]) => (a < b ? -1 : 1)))
  console.log(`${licence}, ${names.length}:\n  ${names.sort().join('\n  ')}`);
if (by.has('none')) {
  console.error(`Without a licence: ${by.get('none').join(', ')}`);
  process.exitCode = 1;
}
