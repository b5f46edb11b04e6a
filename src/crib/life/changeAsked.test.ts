import { changeAsked } from './changeAsked';

it('costs stand in an address as they are typed, with point or comma', () =>
  expect(changeAsked({ planned: '38', failed: '240,50', part: '1.5' })).toEqual({
    costs: { planned: 38, failure: 240.5 },
    partMinutes: 1.5,
  }));

it('where nothing is said nothing is asked; minutes of a part alone ask by what changes cost here', () => {
  expect(changeAsked({})).toBeNull();
  expect(changeAsked({ part: '2' })).toEqual({ costs: null, partMinutes: 2 });
});

it.each([
  ['failed', { planned: '38' }],
  ['planned', { failed: '38' }],
  ['planned', { planned: '0', failed: '38' }],
  ['failed', { planned: '38', failed: 'dear' }],
  ['failed', { planned: '38', failed: '1e9' }],
  ['failed', { planned: '38', failed: '-4' }],
  ['part', { planned: '38', failed: '240', part: '0' }],
  ['part', { planned: '38', failed: '240', part: 'two' }],
])('%s is named where it can’t be read', (field, asked) => {
  let problem: unknown = null;
  try {
    changeAsked(asked);
  } catch (e) {
    problem = e;
  }
  expect(problem).toMatchObject({ parts: [{ field }] });
});
