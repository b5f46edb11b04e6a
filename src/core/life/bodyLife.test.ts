import { bodyLife, screwsDue } from '.';

// By hand (Kaplan and Meier 1958): of three, one scrapped at 30 leaves 2/3, the next at 50 leaves 1/3.
it('a half of the bodies are scrap by so many sets of edges', () => {
  const life = bodyLife([
    { sets: 30, scrapped: true },
    { sets: 50, scrapped: true },
    { sets: 60, scrapped: false },
  ]);
  expect(life).toMatchObject({ bodies: 3, scrapped: 2, sets: { median: 50 } });
});

it('where none is scrap it is more than the longest has held; one that held none says nothing', () => {
  expect(
    bodyLife([
      { sets: 12, scrapped: false },
      { sets: 0, scrapped: false },
    ]),
  ).toMatchObject({ bodies: 1, scrapped: 0, sets: { moreThan: 12 } });
  expect(bodyLife([{ sets: 0, scrapped: true }]).sets).toBeNull();
});

// Common practice: every tenth set.
it('screws are due after so many sets', () =>
  expect([9, 10, 30].map(screwsDue)).toEqual([false, true, true]));
