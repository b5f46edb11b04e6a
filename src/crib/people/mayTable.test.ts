import { readFileSync } from 'node:fs';
import { whoMay } from '@/core/people';
import { VERBS } from '@/crib/verbs';
import { VIEWS } from '@/crib/views';
import { ACTS } from '@/crib/acts';

// docs/people.md is what the verbs, views and acts say in their own files; whoever changes one changes it there.
it('the docs say who may do what the code lets do it', () => {
  const rows = [
    ...VERBS.map((v) => `| \`${v.name}\` | ${whoMay(v.may)} |`),
    ...VIEWS.map((v) => `| \`${v.path}\` | ${whoMay(v.may)} |`),
    ...ACTS.map((a) => `| \`${a.path}\` | ${a.may === null ? 'whoever comes' : whoMay(a.may)} |`),
  ];
  const said = readFileSync('docs/people.md', 'utf8')
    .split('\n')
    .filter((line) => line.startsWith('| `'))
    .map((line) => line.replace(/ +\|/g, ' |').trim());
  expect(said).toEqual(rows);
});
