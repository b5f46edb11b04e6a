import { expect, test } from './help';
import { request as httpRequest, type IncomingHttpHeaders } from 'node:http';
import { DEMO } from '../playwright.config';

/** The doors without a browser: real sockets, so that Host and Origin can be anything. */
const port = Number(new URL(DEMO).port);
interface Reply {
  status: number;
  headers: IncomingHttpHeaders;
  text: string;
  json: () => Record<string, unknown>;
}
function call(
  method: string,
  path: string,
  headers: Record<string, string> = {},
  body?: string,
): Promise<Reply> {
  return new Promise((resolve, reject) => {
    const req = httpRequest(
      { host: '127.0.0.1', port, method, path, headers: { host: `127.0.0.1:${port}`, ...headers } },
      (res) => {
        const chunks: Buffer[] = [];
        res.on('data', (chunk: Buffer) => chunks.push(chunk));
        res.on('end', () => {
          const text = Buffer.concat(chunks).toString();
          resolve({
            status: res.statusCode!,
            headers: res.headers,
            text,
            json: () => JSON.parse(text) as Record<string, unknown>,
          });
        });
      },
    );
    req.on('error', reject);
    req.end(body);
  });
}
const post = (path: string, body: unknown, headers: Record<string, string> = {}) =>
  call(
    'POST',
    `/api/v1/${path}`,
    { origin: DEMO, 'content-type': 'application/json', ...headers },
    typeof body === 'string' ? body : JSON.stringify(body),
  );

test('a foreign Host is refused, reading or writing', async () => {
  for (const host of ['evil.example', '127.0.0.1:1', `evil.example:${port}`]) {
    const reply = await call('GET', '/api/v1/today', { host });
    expect(reply.status, host).toBe(403);
  }
  expect((await call('GET', '/api/v1/today', { host: `localhost:${port}` })).status).toBe(200);
});

test('a write from a foreign Origin, or from none, is refused as a problem document and writes nothing', async () => {
  const before = (await call('GET', '/api/v1/entries')).text;
  for (const origin of [
    'http://evil.example',
    'null',
    `https://127.0.0.1:${port}`,
    `http://127.0.0.1:${port}.evil.example`,
    undefined,
  ]) {
    const reply = await call(
      'POST',
      '/api/v1/people',
      { 'content-type': 'application/json', ...(origin ? { origin } : {}) },
      JSON.stringify({ who: 'IK', initials: 'XX', name: 'X' }),
    );
    expect(reply.status, origin).toBe(403);
    expect(reply.headers['content-type']).toBe('application/problem+json');
    expect(reply.json()).toMatchObject({ code: 'FOREIGN_ORIGIN', problems: [{ field: 'Origin' }] });
  }
  expect((await call('GET', '/api/v1/entries')).text).toBe(before);
});

test('problems name field, value, limit and way out', async () => {
  const reply = await post('measurements', { who: 'IK', tag: 'A-0005', gaugeLength: '-1' });
  expect(reply.status).toBe(422);
  expect(reply.headers['content-type']).toBe('application/problem+json');
  expect(reply.json()).toMatchObject({
    code: 'INVALID_INPUT',
    status: 422,
    way_out: expect.any(String),
    problems: [{ field: 'gaugeLength', value: '-1', limit: '5 to 1500 mm' }],
  });
  // What the database itself refuses is put in words too, in the built server as in the tests.
  expect(
    (await post('places', { who: 'IK', code: 'CAB1', name: 'Again', kind: 'shelf' })).json(),
  ).toMatchObject({ code: 'CONFLICT', detail: 'This code or number is taken already' });
  expect((await post('measurements', '{"who":')).json()).toMatchObject({ code: 'NOT_JSON', status: 400 });
  expect((await post('nowhere', {})).status).toBe(404);
  expect((await post('measurements', { who: 'IK', tag: 'A-9999', gaugeLength: 100 })).json()).toMatchObject({
    code: 'NOT_FOUND',
    problems: [{ field: 'tag', value: 'A-9999' }],
  });
  expect((await call('GET', String((await post('nowhere', {})).json().type))).json()).toMatchObject({
    code: 'NOT_FOUND',
  });
});

test('10 MB of noise as a program is refused quickly, stored or only read', async () => {
  const noise = Array.from({ length: 700_000 }, (_, i) => `G${i % 99}X#${i}[!?]§~`)
    .join('\n')
    .slice(0, 10_400_000);
  const started = Date.now();
  expect((await post('programs', { who: 'IK', operation: 1, text: noise })).json()).toMatchObject({
    code: 'TOO_LARGE',
  });
  expect(
    (
      await call('POST', '/api/v1/programs/read', { origin: DEMO, 'content-type': 'text/plain' }, noise)
    ).json(),
  ).toMatchObject({ code: 'TOO_LARGE' });
  // Noise just under the limit is read to the point where reading stops, and answered.
  const under = noise.slice(0, 7_900_000);
  const reply = await call(
    'POST',
    '/api/v1/programs/read',
    { origin: DEMO, 'content-type': 'text/plain' },
    under,
  );
  expect(reply.status).toBe(200);
  expect((reply.json().not_understood as unknown[]).length).toBeLessThan(1100);
  expect(Date.now() - started).toBeLessThan(60_000);
});

test('a program is read by the definition of the report: text in, JSON out', async () => {
  const reply = await call(
    'POST',
    '/api/v1/programs/read?z_limit_mm=-5',
    { origin: DEMO, 'content-type': 'text/plain' },
    'G21\nT1 M6\nS1000 M3\nG0 X0 Y0 Z5\nG43 H2\nG1 Z-6 F100\nM30',
  );
  expect(reply.json()).toMatchObject({
    units: ['mm'],
    units_assumed: null,
    tool_changes: 1,
    tool_sequence: [1],
    before_first_tool: null,
    tools: [
      { t: 1, h: [2], cutting_mm: 11, cutting_s: expect.closeTo(6.6, 6), lowest_feed_z_mm: -6, cycles: {} },
    ],
    warnings: [
      { code: 'H_DIFFERS_FROM_T', t: 1, lines: [5] },
      { code: 'Z_BELOW_LIMIT', t: 1, lines: [6] },
    ],
  });
});

test('computations answer without writing; the same form sent twice is recorded once', async () => {
  const before = (await call('GET', '/api/v1/entries')).text;
  expect((await post('measuring/registers', { school: 'datum', K: 490, L: 142.316 })).json()).toMatchObject({
    H: { value: expect.closeTo(-347.684, 9) },
    workOffset: { needs: 'part zero' },
  });
  expect(
    (
      await post('life/survival', {
        lives: [
          { minutes: 10, failed: true },
          { minutes: 20, failed: true },
        ],
      })
    ).json(),
  ).toMatchObject({ median: { median: 10 }, mean: { minutes: 15 } });
  expect((await post('life/survival', { lives: [{ minutes: -1, failed: true }] })).status).toBe(422);
  expect((await call('GET', '/api/v1/entries')).text).toBe(before);
  const form = {
    who: 'IK',
    formId: '7b0c0f7e-53a6-4b8c-9a55-2f6f0d7c1a11',
    item: 'EM6',
    place: 'CAB1-A',
    quantity: 1,
  };
  const first = await post('stock/received', form);
  const second = await post('stock/received', form);
  expect([first.status, second.status]).toEqual([201, 200]);
  expect(second.json()).toEqual({ ...first.json(), again: true });
});

test('the OpenAPI document lists every path, each answers as listed', async () => {
  const document = (await call('GET', '/api/v1/openapi.json')).json() as {
    openapi: string;
    paths: Record<string, Record<string, unknown>>;
  };
  expect(document.openapi).toBe('3.1.0');
  const paths = Object.entries(document.paths);
  expect(paths.length).toBeGreaterThan(45);
  const job = (await call('GET', '/api/v1/job?number=J-3120')).json() as { program: { entryId: number } };
  for (const [listed, methods] of paths) {
    const path = listed.replace('{entry}', String(job.program.entryId));
    if ('get' in methods) expect((await call('GET', path)).status, path).toBe(200);
    if ('post' in methods)
      expect([400, 404, 422], path).toContain(
        (await call('POST', path, { origin: DEMO, 'content-type': 'application/json' }, '{}')).status === 200
          ? 422
          : (await call('POST', path, { origin: DEMO }, '{}')).status,
      );
  }
});
