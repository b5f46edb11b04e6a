import { edgesLeftWords, turnSeats } from '.';

// Facts of the trade: an insert on its last edge has none to turn to; what is not turned cuts on.
it('of the seats that are turned, broken ones and those on their last edge are replaced; the others cut on', () => {
  const seats = [3, 1, 4, 2].map((edgesLeft, i) => ({ seat: i + 1, edgesLeft }));
  expect(turnSeats(seats, [1, 2, 3], [3])).toEqual([
    { seat: 1, edgesLeft: 2, becomes: 'turned' },
    { seat: 2, edgesLeft: 0, becomes: 'replaced' },
    { seat: 3, edgesLeft: 0, becomes: 'replaced' },
    { seat: 4, edgesLeft: 2, becomes: 'cuts on' },
  ]);
});

it('seats that are alike are said together, the longest in the cut first', () =>
  expect(
    edgesLeftWords({
      edgesLeft: null,
      seats: [
        { seat: 1, edgesLeft: 2, minutes: 34.2 },
        { seat: 2, edgesLeft: null, minutes: 0 },
        { seat: 3, edgesLeft: 2, minutes: 34.2 },
        { seat: 4, edgesLeft: 1, minutes: 0 },
      ],
    }),
  ).toBe(
    'seats 1, 3: 34 min cut, 2 edges left; seat 2: 0 min cut, all its edges left; seat 4: 0 min cut, 1 edge left',
  ));

it('alike inserts have one figure', () =>
  expect([null, 1, 3].map((edgesLeft) => edgesLeftWords({ edgesLeft, seats: [] }))).toEqual([
    'on their first edge',
    '1 edge left',
    '3 edges left',
  ]));
