import { readFileSync } from 'node:fs';
import { LIMITS, mostOf } from './limits';
import { namesOf } from './names';

// docs/limits.md is this table for people; whoever changes a limit changes it there, and this says how.
it('the docs say the limits that the code has', () => {
  const rows = namesOf(LIMITS).map((name) => `| ${LIMITS[name].of} | ${mostOf(name)} | \`${name}\` |`);
  const said = readFileSync('docs/limits.md', 'utf8')
    .split('\n')
    .filter((line) => line.startsWith('| ') && line.includes('`'))
    .map((line) =>
      line
        .replace(/ +\| */g, ' | ')
        .replace(/^\| +/, '| ')
        .trim(),
    );
  expect(said).toEqual(rows);
});
