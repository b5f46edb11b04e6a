import type { Stable } from './server';

/** Values that broke something once, somewhere. */
const ODD = [
  null,
  true,
  '',
  ' ',
  '\0',
  '\ud800',
  'IK',
  'EM10',
  'S1',
  '1',
  '-1',
  '1e308',
  'NaN',
  '1/4 in',
  '١٢',
  '0x10',
  "'; drop table entry; --",
  '<script>',
  '=1+1',
  '__proto__',
  '../../etc/passwd',
  'a'.repeat(3000),
  0,
  -1,
  1.5,
  1e308,
  -1e308,
  2 ** 31,
  2 ** 53,
  '2027-02-29',
  '0000-01-01',
  '2026-12-31T23:59:60Z',
  '2027-01-12T09:00:00Z',
  [],
  {},
  [[]],
  [{}],
  { a: { b: { c: [] } } },
  ['x', 1, null],
] as const;

interface Schema {
  properties?: Record<string, Schema>;
  items?: Schema;
  anyOf?: Schema[];
  type?: string | string[];
  enum?: unknown[];
}

/** A value that a schema might take, now and then odd. */
function value(schema: Schema, random: () => number, depth = 0): unknown {
  const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(random() * list.length)];
  if (random() < 0.15 || depth > 6) return pick(ODD);
  if (schema.enum) return pick(schema.enum);
  if (schema.anyOf) return value(pick(schema.anyOf) ?? {}, random, depth + 1);
  const type = Array.isArray(schema.type) ? pick(schema.type) : schema.type;
  if (schema.properties)
    return Object.fromEntries(
      Object.entries(schema.properties)
        .filter(() => random() < 0.8)
        .map(([name, s]) => [name, value(s, random, depth + 1)]),
    );
  if (type === 'array')
    return Array.from({ length: Math.floor(random() * 4) }, () =>
      value(schema.items ?? {}, random, depth + 1),
    );
  if (type === 'integer' || type === 'number') return Math.floor(random() * 100);
  if (type === 'boolean') return random() < 0.5;
  return pick(['IK', 'EM10', 'S1', '10', '5', '2027-02-01', 'C45', 'A-0001', 'M2', 'x']);
}

/** Sends so many random inputs over all doors, or for so many seconds; counts what is answered, and keeps what broke. */
export async function fuzz(
  stable: Stable,
  { inputs, seconds, random }: { inputs: number; seconds: number; random: () => number },
): Promise<{ sent: number; statuses: Record<string, number>; broke: string[] }> {
  const document = JSON.parse((await stable.get('/api/v1/openapi.json')).text) as {
    paths: Record<
      string,
      Record<
        string,
        { parameters?: { name: string }[]; requestBody?: { content: Record<string, { schema: Schema }> } }
      >
    >;
  };
  const doors = Object.entries(document.paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, door]) => ({ path, method, door })),
  );
  const until = Date.now() + seconds * 1000;
  const statuses: Record<string, number> = {};
  const broke: string[] = [];
  let sent = 0;
  const client = async () => {
    while (sent < inputs && Date.now() < until) {
      sent += 1;
      const at = doors[Math.floor(random() * doors.length)];
      if (!at) return;
      const schema = Object.values(at.door.requestBody?.content ?? {})[0]?.schema ?? {};
      let body: unknown = value(schema, random);
      if (random() < 0.05) body = JSON.stringify(body)?.slice(0, Math.floor(random() * 40)) ?? '';
      const query = (at.door.parameters ?? [])
        .filter(() => random() < 0.5)
        .map(
          (p) =>
            `${p.name}=${encodeURIComponent(String(ODD[Math.floor(random() * ODD.length)]).toWellFormed())}`,
        )
        .join('&');
      const path = at.path.replace(/\{\w+\}/g, '1');
      const reply =
        at.method === 'get'
          ? await stable.get(`${path}?${query}`)
          : await stable.post(path.replace('/api/v1/', ''), body ?? null);
      statuses[reply.status] = (statuses[reply.status] ?? 0) + 1;
      if (reply.status >= 500 && broke.length < 20)
        broke.push(`${at.method} ${path}?${query} ${JSON.stringify(body)?.slice(0, 300)}`);
    }
  };
  await Promise.all(Array.from({ length: 8 }, client));
  return { sent, statuses, broke };
}
