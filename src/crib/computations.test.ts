import { compute, COMPUTATIONS } from './computations';
import { here, validate } from './door';
import { openApi } from './openapi';

/** Each computation with an input and a figure of its answer; the figures are the core tests' own. */
const cutter = { family: 'square', DC: 10, DMM: 10, LCF: 22, OAL: 72, RE: null, SIG: null, NOF: 4 };
const holder = {
  LF: 60,
  CLAMP_MIN: 10,
  CLAMP_MAX: 10,
  GRIP_MIN: 30,
  DEPTH_MAX: 45,
  RPM_MAX: 12000,
  segments: [{ length: 60, upper: 50, lower: 30 }],
};
const EXAMPLES: Record<string, [input: Record<string, unknown>, answer: unknown]> = {
  'cutters/check': [
    { ...cutter, LCF: 80 },
    { faults: [{ field: 'LCF' }], words: '10 mm square end mill, 4 flutes' },
  ],
  'cutters/outline': [
    { cutter, length: 34 },
    { flute: expect.arrayContaining([{ z: 22, r: 5 }]), assumed: [] },
  ],
  'cutters/floor': [
    { cutter: { ...cutter, family: 'ball' }, stepover: 0.5, depth: 1 },
    {
      flatStepover: 0,
      ridgeHeight: expect.closeTo(0.0062539, 6),
      effectiveDiameter: 6,
      smallestInsideCorner: 5,
    },
  ],
  'holes/reamer': [
    { nominal: 20, cls: 'H7', measured: 20.012 },
    { limits: { largest: expect.closeTo(20.017, 9), smallest: expect.closeTo(20.009, 9) }, state: 'new' },
  ],
  'holes/tap': [
    { thread: 'M6', by: 'cutting', drill: 5 },
    { before: { drill: 5, words: 'ISO 2306' }, percent: expect.closeTo(76.98, 2) },
  ],
  'units/diameter': [{ text: 'F' }, { diameter: { mm: expect.closeTo(6.5278, 6), text: 'F', unit: 'inch' } }],
  'inserts/read': [
    { code: 'CNMG 120408', cents: 500 },
    { read: { inscribed: 12.7, radius: 0.8, edges: 4 }, pricePerEdge: 125 },
  ],
  'tapers/read': [{ text: 'HSK-A 63' }, { taper: { standard: 'ISO 12164', key: 'HSK-A63' } }],
  'cutting/cut': [
    {
      cutter,
      ...{ speed: { n: 4775 }, feed: { fz: 0.05 }, ap: 10, ae: 2.5 },
      material: { kc11: { least: 2220, most: 2220 }, mc: { least: 0.14, most: 0.14 }, unit: null },
      limits: {
        ...{ rpm: [{ of: 'holder', limit: 4000 }], hunts: null, feedMax: null },
        ...{ power: null, torque: null, eta: null },
      },
      ...{ build: null, tolerance: null, corner: null, bore: null },
    },
    {
      vf: { value: expect.closeTo(955, 6) },
      Q: { value: expect.closeTo(23_875, 4) },
      byUnit: { value: null },
      binds: expect.arrayContaining([expect.objectContaining({ of: 'rpm', over: true })]),
    },
  ],
  'stock/explain': [
    {
      counted: 3,
      expected: 5,
      elsewhere: [{ place: 'B', difference: 2 }],
      alike: [],
      hands: [],
      recent: [],
      pack: null,
    },
    { explanations: [expect.stringContaining('2 pieces too many at B')] },
  ],
  'holders/check': [{ ...holder, LF: 61 }, { faults: [{ field: 'segments', value: 60 }] }],
  'assemblies/judge': [
    { cutter, holder, stickout: 20 },
    {
      expectedGaugeLength: 80,
      judgements: expect.arrayContaining([
        expect.objectContaining({ code: 'FLUTES_GRIPPED', grade: 'stop' }),
      ]),
    },
  ],
  'assemblies/figures': [
    {
      cutter,
      holder,
      stickout: 30,
      force: 100,
      details: { cutter: { SUBSTRATE: 'carbide' }, holder: { code: 'SL10', WT: 1.2 } },
    },
    { rpm: { value: 12000 }, tip: { value: expect.closeTo(0.00479, 5) }, stiffness: expect.closeTo(1, 9) },
  ],
  'assemblies/clearance': [
    { cutter, holder, stickout: 34, wall: { depth: 40, radial: 12, draft: 0 } },
    // The face of 30 across is 15 from the axis: 3 in the wall at 34, more where the wall ends.
    { nearest: { of: 'holder', gap: expect.closeTo(-4, 9), height: 40 }, judgement: { grade: 'stop' } },
  ],
  'assemblies/outline': [
    { cutter, holder, stickout: 34, length: 94.1 },
    { length: 94.1, widest: 50 },
  ],
  'measuring/registers': [
    { school: 'gauge', K: 490, L: 142.316, h: 60, diameterSchool: 'radius', D: 9.988 },
    { H: { value: 142.316 }, workOffset: { value: -430 }, D: { value: 4.994 } },
  ],
  'measuring/size-correction': [
    {
      features: [
        { kind: 'outside', wanted: 40, measured: 40.06, least: null, most: null },
        { kind: 'depth', wanted: 8, measured: 7.98, least: 7.97, most: 8.03 },
      ],
      school: 'diameter',
      cutBefore: true,
    },
    { D: { change: expect.closeTo(-0.06, 9) }, H: { change: expect.closeTo(-0.02, 9) } },
  ],
  'measuring/touch-off': [
    { reading: -277.684, block: 10, K: 490, h: 60 },
    { H: expect.closeTo(-287.684, 9), L: expect.closeTo(142.316, 9) },
  ],
  'measuring/find-k': [
    { block: 10, tools: [{ L: 142.316, readings: [-337.684] }] },
    { K: expect.objectContaining({ value: expect.closeTo(490, 9) }), scale: null },
  ],
  'measuring/question': [
    { L: 142.9, expected: 142.3, last: null, D: null, DC: 10 },
    { questions: [{ code: 'FAR_FROM_EXPECTED' }] },
  ],
  'life/survival': [{ lives: [] }, { steps: [], median: null, mean: null }],
  'breakage/causes': [
    {
      seen: ['longer', 'bright rings on the shank'],
      notSeen: ['hit'],
      confirmed: [{ cause: 'pulled out', seen: ['longer'] }],
    },
    { causes: expect.arrayContaining([expect.objectContaining({ cause: 'pulled out', cases: [0] })]) },
  ],
  'life/next': [
    { lives: [], assumed: { minutes: 40, origin: 'maker' }, chance: 0.9, at: [40] },
    { next: { mean: expect.closeTo(40, 6) }, lasting: [expect.closeTo(0.46, 1)] },
  ],
  'life/which-pays': [
    {
      first: { edge: 48, lifeMinutes: 60, partMinutes: 3, changeMinutes: 4, once: 0 },
      second: { edge: 5, lifeMinutes: 25, partMinutes: 3, changeMinutes: 5, once: 180 },
      ...{ minute: 0.9, partCm3: null },
    },
    { always: null, from: { side: 'second', parts: 125 } },
  ],
  'life/compare': [
    {
      first: [15, 28].map((minutes) => ({ minutes, failed: true })),
      second: [33, 50].map((minutes) => ({ minutes, failed: minutes === 33 })),
    },
    { chiSquare: expect.closeTo(2.88235, 5), p: expect.closeTo(0.089555, 6) },
  ],
  'life/taylor': [
    {
      lives: [
        { speed: 160, minutes: 5 },
        { speed: 100, minutes: 41 },
      ],
      at: [160],
    },
    { n: expect.closeTo(0.22337, 5), at: [{ life: expect.closeTo(5, 9), ofOne: null }] },
  ],
  'life/taylor-law': [
    { n: 0.25, C: 400, speed: 200, minutes: 60 },
    { life: expect.closeTo(16, 9), speed: expect.closeTo(143.7216, 4) },
  ],
  'life/cheapest-speed': [
    { n: 0.25, C: 400, changeMinutes: 3, edge: 12, minute: 1.2, metres: 850, handling: 2 },
    { cheapest: { minutes: expect.closeTo(39, 9), part: { cost: expect.closeTo(10.8966, 4) } } },
  ],
  'life/change': [
    { shape: 2, scale: 100, planned: 1, failure: 5, at: [50] },
    { minutes: expect.closeTo(51.06552, 4), why: null, saving: expect.closeTo(0.2759, 4) },
  ],
  'life/wear': [
    {
      readings: [10, 30].map((minutes) => ({ minutes, wearMm: minutes / 200 + 0.05 })),
      criterion: 0.3,
    },
    { crossing: { minutes: expect.closeTo(50, 9), ofTheLine: null } },
  ],
  'life/expectation': [
    { lives: [{ minutes: 3, failed: false }], assumed: { minutes: 90, origin: 'guess' } },
    { expectation: { minutes: 90, basis: 'assumed' } },
  ],
  'life/used': [{ uses: [{ minutes: 30, expected: null }] }, { used: null }],
  'life/wear-limit': [
    { DC: 10 },
    { limit: expect.closeTo(0.2, 12), because: expect.objectContaining({ formula: 'min(0.3 mm, 0.02 DC)' }) },
  ],
  'jobs/use': [
    {
      asks: {
        t: 7,
        h: [7],
        d: [],
        spindle: [9000],
        highestFeed: 900,
        lowestFeedZ: -30,
        deepestHole: null,
        minutesPerPart: 2,
        atLeast: false,
        warned: [],
      },
      here: { highestBeside: 0, passDepth: 10 },
      machine: { code: 'M2', taper: '40 taper', hEqualsT: true, rpmMax: 8000, feedMax: null },
      partsLeft: 10,
      was: 'A-0101',
      assembly: {
        name: 'A-0107',
        cutter: { family: 'square', DC: 10, LCF: 35, DMM: 10 },
        body: null,
        stickout: 40,
        holder: { taper: '40 taper', rpmMax: 12000 },
        build: [],
        measured: 'measured',
        question: null,
        diameterMeasured: true,
        runout: null,
        registerNeeds: null,
        figuresChanged: false,
        inserts: null,
        wear: null,
        life: { used: 0.5, leftMinutes: 20, fresh: true },
      },
    },
    { grade: 'stop', why: 'S9000 is over the machine’s 8000', goodFor: 10 },
  ],
  'jobs/cycle': [
    { cuttingS: 600, rapidMm: 5000, changes: 3, rapidMmMin: 20000, toolChangeS: null },
    { cutting: 10, rapid: 0.25, changes: null },
  ],
  'buying/propose': [
    {
      uses: [
        {
          job: 'J',
          due: '2027-01-20',
          start: '2027-01-20',
          material: 'P',
          partsLeft: 100,
          minutesPerPart: 1.2,
          operationMinutes: 1.2,
          perLife: 1,
          life: { minutesPerEdge: 40, spread: 0, basis: 'x', guess: false },
        },
      ],
      supply: { shelf: 1, edgeSets: [], openOrders: [] },
      terms: { leadTimeDays: 10, pack: 1, minimum: 1 },
      today: '2027-01-01',
    },
    { proposal: { say: 'order', quantity: 2, orderBy: '2027-01-08' } },
  ],
};

it('has an example for every computation', () =>
  expect(Object.keys(EXAMPLES).sort()).toEqual(COMPUTATIONS.map((c) => c.path).sort()));

it.each(COMPUTATIONS.map((c) => [c.path, c] as const))(
  '%s: takes its example, answers in JSON, refuses what is missing or foreign',
  (path, c) => {
    const [input, answer] = EXAMPLES[path]!;
    validate(c.schema, input);
    const got = JSON.parse(JSON.stringify(c.run(input))) as unknown;
    expect(got).toMatchObject(answer as object);
    expect(JSON.stringify(got)).not.toMatch(/NaN|Infinity/);
    expect(() => validate(c.schema, {})).toThrow(/needed|wrong/);
    expect(() => validate(c.schema, { ...input, foreign: 1 })).toThrow(/not a field/);
    for (const key of Object.keys(input))
      expect(() =>
        validate(c.schema, { ...input, [key]: typeof input[key] === 'string' ? 42 : 'rubbish' }),
      ).toThrow();
  },
);

it('the OpenAPI document is one, with unique operation ids and no dangling reference', () => {
  const document = openApi() as {
    openapi: string;
    paths: Record<string, Record<string, { operationId: string }>>;
    components: { schemas: Record<string, unknown> };
  };
  expect(document.openapi).toBe('3.1.0');
  const ids = Object.values(document.paths).flatMap((methods) =>
    Object.values(methods).map((m) => m.operationId),
  );
  expect(new Set(ids).size).toBe(ids.length);
  const references = [...JSON.stringify(document).matchAll(/"\$ref":"#\/components\/schemas\/(\w+)"/g)].map(
    (m) => m[1]!,
  );
  expect(references.length).toBeGreaterThan(40);
  references.forEach((name) => expect(document.components.schemas).toHaveProperty(name));
});

/** Every number of an input, one after the other, in place of itself at the ends of what can be sent. */
function* pushed(input: unknown, put: (value: unknown) => unknown): Generator<unknown> {
  if (typeof input === 'number') for (const n of [0, 1e-300, 1e-9, 1e6, -1e6, 1e9, 1e308]) yield put(n);
  else if (typeof input === 'object' && input !== null)
    for (const [name, value] of Object.entries(input))
      yield* pushed(value, (v) =>
        put(
          Array.isArray(input) ? input.map((x, i) => (String(i) === name ? v : x)) : { ...input, [name]: v },
        ),
      );
}
it('no figure that is not finite leaves: what the door lets in is answered with numbers, or refused in words', async () => {
  let answered = 0;
  for (const [path, [input]] of Object.entries(EXAMPLES))
    for (const extreme of pushed(input, (v) => v)) {
      const { schema } = COMPUTATIONS.find((c) => c.path === path)!;
      try {
        validate(schema, extreme);
        await here(compute, { path, input: extreme });
        answered += 1;
      } catch (error) {
        expect(`${path} ${JSON.stringify(extreme).slice(0, 200)} ${(error as Error).name}`).toMatch(
          /Problem$/,
        );
      }
    }
  expect(answered).toBeGreaterThan(200);
});
