/**
 * How much Stable takes at once: of a request, a list, a program, a picture, and of its own machine. One table, which the
 * code asks, `/api/v1/openapi.json` carries, and docs/limits.md shows. A limit is checked before the work or while
 * reading, so that what is too large costs no more than what is just large enough.
 */
interface Limit {
  most: number;
  unit: string;
  /** What it is a limit of, as the docs and the API say it. */
  of: string;
}
const limit = (most: number, unit: string, of: string): Limit => ({ most, unit, of });

export const LIMITS = {
  bodyBytes: limit(1_000_000, 'bytes', 'body of a request, where nothing else is said here'),
  jsonDepth: limit(24, 'levels', 'lists and objects within each other in a body'),
  jsonValues: limit(100_000, 'values', 'values in a body'),
  listItems: limit(2_000, 'entries', 'a list in what is only reckoned, where its own field says no less'),
  bookedUses: limit(200, 'entries', 'booked uses, edge sets and open orders of one proposal to order'),
  faults: limit(20, 'faults', 'faults named in one refusal; it says how many more there are'),
  breakages: limit(
    1_000,
    'cases',
    'what broke in a year, and causes that were found, of which the ranking learns',
  ),
  forecasts: limit(1_000, 'lives', 'lives of a year that are held against what was foretold of them'),
  markedHolders: limit(2_000, 'marks', 'holders, extensions and collets with a mark of their own'),
  scrapKinds: limit(
    1_000,
    'kinds',
    'kinds of cutters and inserts in the scrap that are weighed and sold at once',
  ),
  heldParts: limit(10_000, 'parts', 'parts held at once'),
  notes: limit(2_000, 'characters', 'a note'),

  listBytes: limit(10_000_000, 'bytes', 'a list that is brought in (CSV, XLSX, JSON), as a file'),
  listUnpackedBytes: limit(200_000_000, 'bytes', 'a spreadsheet once it is unpacked'),
  listRows: limit(60_000, 'rows', 'a list'),
  listColumns: limit(300, 'columns', 'a list'),
  listCells: limit(3_000_000, 'cells', 'a list: cells with something in them'),
  headerCharacters: limit(200, 'characters', 'a column’s header'),
  cellCharacters: limit(2_000, 'characters', 'a cell'),

  programCharacters: limit(8_000_000, 'characters', 'an NC program that is stored'),
  programBytes: limit(
    256_000_000,
    'bytes',
    'an NC program that the server only reads; in the page there is no limit',
  ),
  programCalled: limit(
    20_000_000,
    'bytes',
    'subprograms of an NC program, each time they are called; what comes after is marked as not read',
  ),
  programNesting: limit(8, 'levels', 'subprograms of an NC program that call each other'),
  programValues: limit(
    200,
    'values',
    'different values in a list of a program’s report; it says where there are more',
  ),
  programLine: limit(4_000, 'characters', 'a line of an NC program; a longer one is marked as not read'),
  programTools: limit(1_000, 'tools', 'tools an NC program calls; what comes after is marked as not read'),
  programRepeats: limit(
    500_000,
    'holes and pecks',
    'drilling in an NC program; what comes after is marked as not read',
  ),
  programFaults: limit(1_000, 'places', 'places not understood in an NC program, after which reading stops'),
  warningLines: limit(1_000, 'lines', 'lines named of one warning of an NC program; it says how many more'),

  labels: limit(220, 'labels', 'labels printed at once: five sheets of A4'),

  pictureBytes: limit(12_000_000, 'bytes', 'a picture, as a file'),
  picturePixels: limit(80_000_000, 'pixels', 'a picture'),
  pictureSide: limit(20_000, 'pixels', 'a side of a picture'),

  taskSeconds: limit(20, 'seconds', 'reading one file, or one computation'),
  taskMegabytes: limit(192, 'megabytes', 'memory of reading one file, or of one computation'),
  tasksWaiting: limit(20, 'tasks', 'files and computations that wait for their turn'),
} as const satisfies Record<string, Limit>;

export type LimitName = keyof typeof LIMITS;

/** A limit in words. Example: 'at most 60,000 rows'. */
export const mostOf = (name: LimitName): string =>
  `at most ${LIMITS[name].most.toLocaleString('en-GB')} ${LIMITS[name].unit}`;
