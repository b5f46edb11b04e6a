import { furnish } from '../src/crib/testing';
import { verbNamed } from '../src/crib/verbs';
import { anotherOwner, type Stable } from './server';

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

/** Words that name something in the shop, by the field that takes them: most inputs are to come past the first check. */
const NAMES: Record<string, readonly unknown[]> = {
  who: ['IK', 'TO'],
  item: ['EM10', 'SL10'],
  code: ['EM10', 'SL10', 'S1', 'M2', 'N1', 'N2'],
  place: ['S1', 'USED'],
  from: ['S1', 'USED'],
  to: ['S1', 'USED', 'TO'],
  cutterTo: ['USED'],
  machine: ['M2'],
  material: ['C45'],
  supplier: ['NORD'],
  tag: ['A-0001', 'A-0002'],
  piece: ['E-0001', 'E-0002'],
  person: ['TO', 'IK'],
  job: ['J-1'],
  operation: [1],
  t: [1, 7],
  number: ['J-1', 'O-0001', 'C-0001', 'Q-0001'],
  family: ['square', 'drill'],
  kind: ['cutter', 'holder', 'drawer', 'worn'],
  formId: [],
};

interface Schema {
  properties?: Record<string, Schema>;
  required?: string[];
  items?: Schema;
  anyOf?: Schema[];
  type?: string | string[];
  format?: string;
  enum?: unknown[];
  'x-decimal'?: { min: number; max: number };
}

/** A value that a schema might take, now and then odd. */
function value(schema: Schema, random: () => number, name = '', depth = 0): unknown {
  const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(random() * list.length)];
  if (random() < 0.07 || depth > 6) return pick(ODD);
  if (schema.enum) return pick(schema.enum);
  const named = NAMES[name];
  if (named?.length && random() < 0.9) return pick(named);
  if (schema.anyOf) return value(pick(schema.anyOf) ?? {}, random, name, depth + 1);
  const type = Array.isArray(schema.type) ? pick(schema.type) : schema.type;
  if (schema.properties) {
    const wanted = new Set(schema.required);
    return Object.fromEntries(
      Object.entries(schema.properties)
        .filter(([field]) => random() < (wanted.has(field) ? 0.97 : 0.3))
        .map(([field, s]) => [field, value(s, random, field, depth + 1)]),
    );
  }
  if (type === 'array')
    return Array.from({ length: Math.floor(random() * 4) }, () =>
      value(schema.items ?? {}, random, name, depth + 1),
    );
  if (schema['x-decimal']) {
    const { min, max } = schema['x-decimal'];
    const n = Math.round(min + random() ** 4 * (max - min));
    return type === 'string' ? String(n) : n;
  }
  if (type === 'integer' || type === 'number') return Math.floor(random() * 100);
  if (type === 'boolean') return random() < 0.5;
  if (schema.format === 'uuid')
    return '00000000-0000-4000-8000-000000000000'.replace(/0/g, () => Math.floor(random() * 16).toString(16));
  if (schema.format === 'date-time') return '2026-11-02T09:00:00Z';
  if (schema.format === 'date') return '2027-02-01';
  return pick(['IK', 'EM10', 'S1', '10', '5', '2027-02-01', 'C45', 'A-0001', 'M2', 'x']);
}

/** Doors that change the asker's own sign-in: their inputs come from somebody else, or nothing would come past the gate after them. */
const OWN = /^\/api\/v1\/(sign-|hand|people\/(password|pin|sessions|shared-screens)|keys\/end)/;
/** Doors that look through or copy everything, and take seconds each: few inputs go there. */
const WHOLE = /^\/api\/v1\/(keeping\/(check|back-up)|archive\.zip)/;
/** What the gate answers, before a door is reached. */
const AT_THE_GATE = [401, 403, 429];

/**
 * Sends so many random inputs over all doors, or for so many seconds; counts what is answered, how many of those that were
 * sent to a door came to it, and keeps what broke. Says how far it is: a million take hours, and a run that is ended early is
 * not to have said nothing.
 */
export async function fuzz(
  stable: Stable,
  {
    inputs,
    seconds,
    random,
    say,
  }: { inputs: number; seconds: number; random: () => number; say: (line: string) => void },
): Promise<{ sent: number; reached: number; statuses: Record<string, number>; broke: string[] }> {
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
  await furnish({
    do: async (verb, input) => {
      const path = verbNamed(verb)?.path ?? verb;
      const answer: Record<string, unknown> & { entry: number } = JSON.parse(
        (await stable.post(path, { who: 'IK', ...input })).text,
      );
      return answer;
    },
  });
  // No input names this one: nobody takes their right to ask away.
  const asker = await anotherOwner(stable, 'ZZ', 'Zoe Zander');
  const until = Date.now() + seconds * 1000;
  const statuses: Record<string, number> = {};
  const broke: string[] = [];
  let [sent, answered, own, atGate] = [0, 0, 0, 0];
  const client = async () => {
    while (sent < inputs && Date.now() < until) {
      sent += 1;
      const drawn = () => doors[Math.floor(random() * doors.length)];
      let at = drawn();
      while (at && WHOLE.test(at.path) && random() < 0.95) at = drawn();
      if (!at) return;
      const schema = Object.values(at.door.requestBody?.content ?? {})[0]?.schema ?? {};
      let body: unknown = value(schema, random);
      if (random() < 0.03) body = JSON.stringify(body)?.slice(0, Math.floor(random() * 40)) ?? '';
      const query = (at.door.parameters ?? [])
        .filter(() => random() < 0.5)
        .map(({ name }) => {
          const list = (random() < 0.6 && NAMES[name]) || ODD;
          return `${name}=${encodeURIComponent(String(list[Math.floor(random() * list.length)]).toWellFormed())}`;
        })
        .join('&');
      const path = at.path.replace(/\{\w+\}/g, '1');
      const isOwn = OWN.test(at.path);
      const by = isOwn ? stable : asker;
      const asked = `${at.method} ${path}?${query} ${JSON.stringify(body)?.slice(0, 300)}`;
      let reply;
      try {
        reply =
          at.method === 'get'
            ? await by.get(`${path}?${query}`)
            : await by.post(path.replace('/api/v1/', ''), body ?? null);
      } catch (error) {
        // A door that does not answer is a fault of its own: the others are tried all the same, unless the server has gone.
        statuses.none = (statuses.none ?? 0) + 1;
        const why = error instanceof Error ? (error.cause ?? error) : error;
        if (broke.length < 20) broke.push(`no answer (${String(why)}) ${asked}`);
        if (statuses.none > 100) return;
        continue;
      }
      statuses[reply.status] = (statuses[reply.status] ?? 0) + 1;
      if (isOwn) own += 1;
      else if (AT_THE_GATE.includes(reply.status)) atGate += 1;
      // That more is asked than can be done at once, or a device says nothing, is an answer.
      const told = /"code":"(BUSY|DEVICE_SILENT)"/.test(reply.text);
      if (reply.status >= 500 && !told && broke.length < 20) broke.push(`${reply.status} ${asked}`);
      answered += 1;
      if (answered % 50_000 === 0) say(`       ${answered} inputs at ${stable.url}, ${broke.length} broke`);
    }
  };
  await Promise.all(Array.from({ length: 8 }, client));
  return { sent, reached: sent - own - atGate, statuses, broke };
}
