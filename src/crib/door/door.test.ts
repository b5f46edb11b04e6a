import { VERBS } from '../verbs';
import { furnish, openTestCrib, type TestCrib } from '../testing';
import { DataError } from '@/data/database';
import { field, perform, Problem, toLength, toProblem, validate } from './index';
import { forLog } from './problem';

let crib: TestCrib;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
});
afterAll(() => crib.db.close());

const problemOf = (work: () => unknown): Problem | null => {
  try {
    work();
    return null;
  } catch (error) {
    return error as Problem;
  }
};

describe('something, or none', () => {
  const schema = {
    type: 'object',
    properties: {
      ramp: { anyOf: [{ type: 'number', exclusiveMinimum: 0, maximum: 90 }, { type: 'null' }] },
      either: {
        anyOf: [
          { type: 'object', properties: { n: { type: 'number' } }, required: ['n'] },
          { type: 'object', properties: { vc: { type: 'number' } }, required: ['vc'] },
        ],
      },
    },
    additionalProperties: false,
  } as const;
  it.each([
    [{ ramp: 95 }, 'ramp: 95 does not fit (at most 90)'],
    [{ ramp: 0 }, 'ramp: 0 does not fit (above 0)'],
    [{ ramp: 'steep' }, 'ramp: “steep” does not fit (a number)'],
    [{ ramp: null }, undefined],
    [{ ramp: 3 }, undefined],
  ])('%j: what is wrong with it is said, not that it fits neither', (input, says) =>
    expect(problemOf(() => validate(schema, input))?.message).toBe(says),
  );
  it('of two that are something each, what both need', () =>
    expect(problemOf(() => validate(schema, { either: {} }))?.parts.map((p) => p.field)).toEqual([
      'either.n',
      'either.vc',
      'either',
    ]));
});

describe('validate', () => {
  const schema = {
    type: 'object',
    properties: {
      l: field.length(1, 100),
      n: field.whole(0, 5),
      d: field.decimal(-1, 1),
      day: field.day,
      code: field.code,
      word: field.words(5),
    },
    required: ['l'],
    additionalProperties: false,
  } as const;
  it.each<[Record<string, unknown>, string | null]>([
    [{ l: '1' }, null],
    [{ l: 100 }, null],
    [{ l: '100.001' }, 'l'],
    [{ l: '0.999' }, 'l'],
    [{ l: '3.937 in' }, null],
    [{ l: '3.938 in' }, 'l'],
    [{ l: '1/2' }, null],
    [{ l: true }, 'l'],
    [{ l: null }, 'l'],
    [{ l: ['1'] }, 'l'],
    [{ l: Number.POSITIVE_INFINITY }, 'l'],
    [{}, 'l'],
    [{ l: 1, n: '5' }, null],
    [{ l: 1, n: 6 }, 'n'],
    [{ l: 1, n: '2.5' }, 'n'],
    [{ l: 1, n: 2.5 }, 'n'],
    [{ l: 1, n: '' }, 'n'],
    [{ l: 1, d: '-1' }, null],
    [{ l: 1, d: '0x1' }, 'd'],
    [{ l: 1, day: '2028-02-29' }, null],
    [{ l: 1, day: '2027-02-29' }, 'day'],
    [{ l: 1, day: '1.2.2027' }, 'day'],
    [{ l: 1, code: 'A-1/2.b' }, null],
    [{ l: 1, code: '-A' }, 'code'],
    [{ l: 1, code: 'A B' }, 'code'],
    [{ l: 1, word: '     ' }, 'word'],
    [{ l: 1, word: 'abcdef' }, 'word'],
    [{ l: 1, x: 1 }, 'x'],
  ])('%j', (input, wrong) =>
    expect(problemOf(() => validate(schema, input))?.parts[0]?.field ?? null).toBe(wrong),
  );
  it('names every fault, each once, with value and limit', () => {
    const problem = problemOf(() => validate(schema, { l: '-5', n: 'many', day: 'soon' }))!;
    expect(problem.document()).toMatchObject({
      status: 422,
      code: 'INVALID_INPUT',
      detail: '3 values are wrong',
    });
    expect(problem.parts).toEqual([
      { field: 'l', value: '-5', limit: '1 to 100 mm', detail: 'l: “-5” is too small (1 to 100 mm)' },
      {
        field: 'n',
        value: 'many',
        limit: '0 to 5, whole',
        detail: 'n: “many” is not a number (0 to 5, whole)',
      },
      expect.objectContaining({ field: 'day', value: 'soon' }),
    ]);
  });
  it('a comma is asked about where both readings are possible; a measured length to three places is none of these', () => {
    const detail = (input: object) => problemOf(() => validate(schema, input))?.parts[0]?.detail;
    expect(detail({ l: 1, n: '1,000' })).toBe(
      'n: “1,000” can be read two ways: write 1000 or 1.000 (0 to 5, whole)',
    );
    // 1 to 100 mm: 94,112 mm can't be 94 metres, nor 1,250 mm be one.
    expect(detail({ l: '94,112' })).toBeUndefined();
    expect(detail({ l: '1,250 mm' })).toBeUndefined();
    const wide = { type: 'object', properties: { l: field.length(-2000, 2000) } } as const;
    expect(problemOf(() => validate(wide, { l: '1,250 mm' }))?.parts[0]?.detail).toBe(
      'l: “1,250 mm” can be read two ways: write 1250 mm or 1.250 mm (-2000 to 2000 mm)',
    );
  });
});

describe('perform', () => {
  const receive = (over: Record<string, unknown> = {}) =>
    crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 1, ...over });
  const entries = async () =>
    (await crib.db.query<{ n: number }>('select count(*)::int as n from entry'))[0]!.n;

  it('twenty sends of one form at once are one entry, and all get its answer', async () => {
    const formId = '8a1e0f64-0f4e-4a0a-9d6e-2f1f6f9f0001';
    const before = await entries();
    const answers = await Promise.all(Array.from({ length: 20 }, () => receive({ formId })));
    expect(await entries()).toBe(before + 1);
    expect(new Set(answers.map((a) => a.entry)).size).toBe(1);
    expect(answers.filter((a) => !a.again)).toHaveLength(1);
  });
  it('the order of the fields makes no other form', async () => {
    const formId = '8a1e0f64-0f4e-4a0a-9d6e-2f1f6f9f0002';
    const first = await perform(
      crib,
      VERBS.find((v) => v.name === 'receiveStock')!,
      { who: 'IK', formId, item: 'EM10', place: 'S1', quantity: 1 },
    );
    const second = await perform(
      crib,
      VERBS.find((v) => v.name === 'receiveStock')!,
      { quantity: 1, place: 'S1', formId, item: 'EM10', who: 'IK' },
    );
    expect(second).toEqual({ ...first, again: true });
  });
  it('a form that was refused was not recorded: its id serves the corrected one', async () => {
    const formId = '8a1e0f64-0f4e-4a0a-9d6e-2f1f6f9f0003';
    await expect(receive({ formId, place: 'NOWHERE' })).rejects.toMatchObject({ code: 'NOT_FOUND' });
    expect(await receive({ formId })).not.toHaveProperty('again');
  });
  it('keeps who, when it happened, when it was recorded, and the note', async () => {
    const { entry } = await receive({ happenedAt: '2027-01-04T08:00:00Z', note: '  left at the door ' });
    const [row] = await crib.db.query<Record<string, unknown>>('select * from entry where id = $1', [entry]);
    expect(row).toMatchObject({
      who: 'IK',
      happenedAt: new Date('2027-01-04T08:00:00Z'),
      recordedAt: new Date('2027-01-05T09:00:00Z'),
      note: 'left at the door',
    });
  });
  it('this very moment is not the future, a millisecond later is', async () => {
    await receive({ happenedAt: '2027-01-05T09:00:00.000Z' });
    await expect(receive({ happenedAt: '2027-01-05T09:00:00.001Z' })).rejects.toMatchObject({
      parts: [{ field: 'happenedAt' }],
    });
  });
  it('nothing of a verb that breaks half-way stays', async () => {
    const before = await entries();
    // The cutter is taken before the holder is found missing; both must be as before.
    await expect(
      crib.do('buildAssembly', {
        cutter: { item: 'EM10', place: 'S1' },
        holder: { item: 'SL10', place: 'USED' },
        stickout: 34,
      }),
    ).rejects.toMatchObject({ code: 'CONFLICT' });
    await expect(
      crib.do('buildAssembly', {
        cutter: { item: 'EM10', place: 'S1' },
        holder: { item: 'SL10', place: 'S1' },
        stickout: 1,
      }),
    ).rejects.toMatchObject({ code: 'REFUSED' });
    expect(await entries()).toBe(before);
    expect(await crib.db.query('select * from piece')).toEqual([]);
  });
  it('every verb refuses an empty form by naming what is needed', async () => {
    expect(VERBS.length).toBeGreaterThan(25);
    for (const verb of VERBS)
      await expect(perform(crib, verb, {})).rejects.toMatchObject({
        code: 'INVALID_INPUT',
        parts: expect.arrayContaining([expect.objectContaining({ field: 'who', limit: 'needed' })]),
      });
  });
  it('every verb has a name and a path of its own, and a schema that takes nothing unknown', () => {
    expect(new Set(VERBS.map((v) => v.name)).size).toBe(VERBS.length);
    expect(new Set(VERBS.map((v) => v.path)).size).toBe(VERBS.length);
    for (const verb of VERBS) expect(verb.schema).toMatchObject({ additionalProperties: false });
  });
});

describe('toProblem', () => {
  it('hides what broke, and says that nothing was written', () => {
    const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const problem = toProblem(new Error('secret path /etc'));
    expect(problem.document()).toMatchObject({ status: 500, code: 'INTERNAL' });
    expect(JSON.stringify(problem.document())).not.toContain('secret');
    expect(quiet).toHaveBeenCalled();
    quiet.mockRestore();
  });
  it('a data error of another copy of the module is known by its name', () => {
    const foreign = Object.assign(new Error('x'), { name: 'DataError', code: 'BELOW_ZERO', at: {} });
    expect(toProblem(foreign).document()).toMatchObject({
      status: 409,
      code: 'CONFLICT',
      way_out: expect.stringMatching(/count/),
    });
  });
});

it('toLength keeps the text as entered beside its mm', () => {
  expect(toLength('1/4 in')).toMatchObject({ mm: 6.35, entered: '1/4 in' });
  expect(toLength(12.5)).toMatchObject({ mm: 12.5, entered: '12.5 mm' });
  expect(toLength('12,5')).toMatchObject({ mm: 12.5, entered: '12,5 mm' });
});

describe('while nothing can be written', () => {
  it.each([
    ['NO_ROOM', /nearly full/],
    ['FOLDER_GONE', /moved, deleted or replaced/],
  ] as const)(
    '%s: a verb is refused with the reason before anything is read for it, and views answer',
    async (code, words) => {
      const full = { ...crib, db: { ...crib.db, whyNoWrite: () => new DataError(code, '') } };
      const before = await crib.db.query('select count(*) from entry');
      const receive = VERBS.find((v) => v.name === 'receiveStock')!;
      await expect(
        perform(full, receive, { who: 'IK', item: 'EM10', place: 'S1', quantity: 1 }),
      ).rejects.toMatchObject({
        code: 'NO_ROOM',
        message: expect.stringMatching(words),
        wayOut: expect.any(String),
      });
      expect(await full.db.query('select count(*) from entry')).toEqual(before);
    },
  );
  it('is 507, insufficient storage (RFC 4918)', () =>
    expect(new Problem('NO_ROOM', '').document().status).toBe(507));
});

it('a log has where it broke and by which rule, and nothing of what was sent', () => {
  const error = new DataError('OTHER', 'value “Ida Kern, 94.112” is wrong', {
    table: 'person',
    detail: 'Failing row contains (Ida Kern)',
    sqlstate: 'XX000',
  });
  const said = forLog(error);
  expect(said).not.toMatch(/Ida|94/);
  expect(said).toMatch(/DataError.*person.*XX000/);
  expect(said).toMatch(/door\.test\.ts/);
  expect(forLog(new TypeError('cannot read Ida'))).not.toMatch(/Ida/);
  expect(forLog('Ida')).toBe('a thrown string');
});
