import { CATALOGUE, PAGES, STOCK } from '@/core/questions';
import { openApi } from '../openapi';
import { VIEWS } from '../views';
import { readQuestion } from './index';

const read = (search: string) => readQuestion(STOCK, new URLSearchParams(search));

it('reads numbers as numbers and leaves blanks out', () =>
  expect(read('q=drill+DC>6&after=12&kind=&sort=-item')).toEqual({
    q: 'drill DC>6',
    after: 12,
    sort: '-item',
  }));

it.each([
  ['sort=weight', 'sort'],
  ['after=x', 'after'],
  ['after=-1', 'after'],
  ['after=1.5', 'after'],
  ['after=9999999999', 'after'],
  ['kind=boat', 'kind'],
  ['colour=red', 'colour'],
  ['__proto__=x', '__proto__'],
  ['kind=body&kind=cutter', 'kind'],
  [`q=${'a'.repeat(2001)}`, 'q'],
  [`owner=${'a'.repeat(201)}`, 'owner'],
])('is refused and says the way out (%#)', (search, field) =>
  expect(() => read(search)).toThrow(
    expect.objectContaining({
      code: 'INVALID_INPUT',
      parts: [expect.objectContaining({ field })],
      wayOut: expect.stringContaining(' '),
    }),
  ),
);

it('of a page’s address the names of others are left alone', () => {
  const search = new URLSearchParams('open=EM8&utm=x&utm=y');
  expect(readQuestion(PAGES.cutters, search, 'left alone')).toEqual({ open: 'EM8' });
});

it('is the same for the API, its document and the pages', () => {
  const { paths } = openApi() as {
    paths: Record<string, { get?: { parameters?: { name: string; schema: object }[] } }>;
  };
  for (const view of VIEWS)
    expect(paths[`/api/v1/${view.path}`]!.get!.parameters!.map((p) => p.name).sort()).toEqual(
      Object.keys(view.question).sort(),
    );
  for (const name of Object.keys(CATALOGUE)) expect(PAGES.cutters).toHaveProperty(name);
});
