import { LIMITS } from '@/core/limits';
import { namesOf } from '@/core/names';
import { whoMay } from '@/core/people';
import { sure } from '@/core/sure';
import { ACTS } from '@/crib/acts';
import { COMPUTATIONS } from '@/crib/computations';
import { A_HOLD, A_JOB, LABELS, PROGRESS } from '@/core/questions';
import { READ_DEVICE } from '@/crib/devices';
import { PROBLEM_CODES, questionSchema, type Verb } from '@/crib/door';
import { FORMATS, previewFields } from '@/crib/exchange';
import { READ_QUERY } from '@/crib/jobs';
import { VERBS } from '@/crib/verbs';
import { type View, VIEWS } from '@/crib/views';

const json = (schema: object) => ({ 'application/json': { schema } });
const problem = {
  description: 'A problem document (RFC 9457) naming field, value and limit',
  content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
};

/** Lists that also go out as files. */
const FILES = {
  items: 'The catalogue, or what of it answers ?q, kind, place, sort',
  stock: 'All that lies somewhere and answers ?q, kind, place, lies, owner, sort',
  movements: 'What moved, newest first, of ?item, piece, place or who: all of it; as XLSX at most 60,000',
};

/** What the address of a view may ask, from the schema that checks it. */
const parametersOf = (v: Pick<View, 'question'>) =>
  Object.entries(questionSchema(v.question).properties ?? {}).map(([name, schema]) => ({
    name,
    in: 'query',
    required: false,
    schema,
  }));

/** How an entry of a verb is taken back. */
const wayBack = (v: Verb): string =>
  v.counters || (v.countering && 'never' in v.countering)
    ? 'Its entry is not taken back.'
    : 'Its entry is taken back by POST /api/v1/counter-entries, where no later one leans on it.';

/** What a program sends: `who` is its key's person where it is left out; `second` where the shop wants two people. */
const sentSchema = (v: Verb): object => {
  const { required, properties, ...rest } = { required: [], properties: {}, ...v.schema };
  return {
    ...rest,
    properties: {
      ...properties,
      second: { type: 'object', description: 'Who confirms, where the shop wants two' },
    },
    required: [...required].filter((name) => name !== 'who'),
  };
};

/** The OpenAPI 3.1 document of /api/v1, made from the same schemas that check input at the door. */
export function openApi(): object {
  const paths: Record<string, Record<string, object>> = {};
  const at = (path: string) => (paths[`/api/v1/${path}`] ??= {});
  for (const v of VERBS)
    at(v.path).post = {
      operationId: v.name,
      summary: v.summary,
      description: `Done by ${whoMay(v.may)}. Signed by ${v.signing}. ${wayBack(v)}`,
      'x-may': ['owner', ...v.may],
      tags: ['verbs'],
      requestBody: { required: true, content: json(sentSchema(v)) },
      responses: {
        201: {
          description: 'Done; entry is its number in the ledger',
          content: json({ type: 'object', properties: { entry: { type: 'integer' } }, required: ['entry'] }),
        },
        200: { description: 'Done before with this formId' },
        default: problem,
      },
    };
  for (const v of VIEWS)
    at(v.path).get = {
      operationId: `read_${v.path}`,
      summary: v.summary,
      tags: ['views'],
      'x-may': ['owner', ...v.may],
      parameters: parametersOf(v),
      responses: {
        200: { description: 'As the screen shows it', content: json({ type: ['object', 'array'] }) },
        default: problem,
      },
    };
  for (const a of ACTS)
    at(a.path).post = {
      operationId: a.path.replaceAll(/[/-]/g, '_'),
      summary: a.summary,
      tags: [a.path.startsWith('keeping/') ? 'keeping' : 'signing'],
      ...(a.may === null ? { security: [] } : { 'x-may': ['owner', ...a.may] }),
      requestBody: { required: true, content: json(a.schema) },
      responses: {
        200: { description: 'Done; a new sign-in comes as a cookie', content: json({ type: 'object' }) },
        default: problem,
      },
    };
  for (const c of COMPUTATIONS)
    at(c.path).post = {
      operationId: c.path.replaceAll(/[/-]/g, '_'),
      summary: c.summary,
      tags: ['computations'],
      requestBody: { required: true, content: json(c.schema) },
      responses: {
        200: { description: 'The result; nothing is written', content: json({ type: 'object' }) },
        default: problem,
      },
    };
  at('archive.zip').get = {
    operationId: 'archive',
    summary:
      'All that is kept as open files: a CSV of each table, pictures, programs, and what they are (datapackage.json).',
    tags: ['keeping'],
    'x-may': ['owner'],
    responses: {
      200: { description: 'The archive', content: { 'application/zip': {} } },
      default: problem,
    },
  };
  at('programs/{entry}').get = {
    operationId: 'program',
    summary: 'A program as it was stored, by the number of its entry: plain text.',
    parameters: [{ name: 'entry', in: 'path', required: true, schema: { type: 'integer', minimum: 1 } }],
    responses: {
      200: { description: 'The NC text', content: { 'text/plain': { schema: { type: 'string' } } } },
      default: problem,
    },
  };
  at('programs/read').post = {
    operationId: 'programs_read',
    summary:
      'Read an NC program: minutes in the cut, rapid length, deepest Z per tool, what was not understood.',
    tags: ['computations'],
    parameters: READ_QUERY.map((asked) => ({ in: 'query', required: false, ...asked })),
    requestBody: { required: true, content: { 'text/plain': { schema: { type: 'string' } } } },
    responses: {
      200: { description: 'The program report', content: json({ type: 'object' }) },
      default: problem,
    },
  };
  at('labels.pdf').get = {
    operationId: 'labels_pdf',
    summary:
      'Labels of assemblies, 50 x 25 mm: of ?tags, a ?job, or all that stands; one a page, or on A4 after ?used of the sheet. Numbers of ?machines.',
    tags: ['views'],
    parameters: parametersOf({ question: LABELS }),
    responses: { 200: { description: 'The labels', content: { 'application/pdf': {} } }, default: problem },
  };
  at('setup-sheet.pdf').get = {
    operationId: 'setup_sheet_pdf',
    summary:
      'The setup sheet of a job’s operation, A4: blanks are lines to write on. Of ?number, and ?op where it has several.',
    tags: ['views'],
    parameters: parametersOf({ question: A_JOB }),
    responses: { 200: { description: 'The sheet', content: { 'application/pdf': {} } }, default: problem },
  };
  at('hand-over.pdf').get = {
    operationId: 'hand_over_pdf',
    summary: 'What is handed over of the shift, A4.',
    tags: ['views'],
    responses: { 200: { description: 'The sheet', content: { 'application/pdf': {} } }, default: problem },
  };
  at('hold.pdf').get = {
    operationId: 'hold_pdf',
    summary: 'Tags of held parts of which nobody decided, A4, each with room for a verdict. Of ?number.',
    tags: ['views'],
    parameters: parametersOf({ question: A_HOLD }),
    responses: { 200: { description: 'The tags', content: { 'application/pdf': {} } }, default: problem },
  };
  at('kit.pdf').get = {
    operationId: 'kit_pdf',
    summary:
      'What is fetched for a job’s operation, in the order of the shelves, with the codes of its tags, A4.',
    tags: ['views'],
    parameters: parametersOf({ question: A_JOB }),
    responses: { 200: { description: 'The list', content: { 'application/pdf': {} } }, default: problem },
  };
  at('devices/read').post = {
    operationId: 'devices_read',
    summary:
      'One reading of a device: of the tool of a tag, of its master, or its last one again. A fault is answered as it came. Nothing is written.',
    tags: ['computations'],
    requestBody: { required: true, content: json(READ_DEVICE) },
    responses: {
      200: { description: 'A reading or a fault', content: json({ type: 'object' }) },
      default: problem,
    },
  };
  at('items/import-preview').post = {
    operationId: 'items_import_preview',
    summary:
      'What importing a list (CSV, XLSX, JSON as base64) would do: new, changed value by value, refused with row and reasons. Nothing is written.',
    tags: ['computations'],
    requestBody: {
      required: true,
      content: json({
        type: 'object',
        properties: previewFields,
        required: ['content'],
        additionalProperties: false,
      }),
    },
    responses: { 200: { description: 'The preview', content: json({ type: 'object' }) }, default: problem },
  };
  at('progress').get = {
    operationId: 'progress',
    summary:
      'How far long work has come, by the form id that was sent with it: step, and rows done of so many. Null where none goes on.',
    tags: ['views'],
    parameters: parametersOf({ question: PROGRESS }),
    responses: {
      200: { description: 'How far', content: json({ type: ['object', 'null'] }) },
      default: problem,
    },
  };
  for (const [list, what] of Object.entries(FILES))
    for (const format of FORMATS)
      at(`${list}.${format}`).get = {
        operationId: `${list}_${format}`,
        summary: `${what}, as ${format.toUpperCase()}.`,
        tags: ['views'],
        parameters: parametersOf(
          sure(
            VIEWS.find((v) => v.path === list),
            `the view ${list}`,
          ),
        ),
        responses: { 200: { description: 'The file' }, default: problem },
      };
  return {
    openapi: '3.1.0',
    info: {
      title: 'Stable',
      version: '1',
      description:
        'Lengths in mm and times in minutes unless a name says otherwise (the program report: seconds). x-length and x-decimal give limits of values that may be text as typed; x-limits how much is taken at once.',
    },
    'x-limits': Object.fromEntries(
      namesOf(LIMITS).map((name) => {
        const { most, unit, of } = LIMITS[name];
        return [name, { most, unit, of }];
      }),
    ),
    paths,
    security: [{ key: [] }, { session: [] }],
    components: {
      securitySchemes: {
        key: { type: 'http', scheme: 'bearer', description: 'A key that an owner made on the page People' },
        session: {
          type: 'apiKey',
          in: 'cookie',
          name: 'stable_session',
          description: 'A sign-in; a write needs an Origin header of Stable’s own beside it',
        },
      },
      schemas: {
        Problem: {
          type: 'object',
          required: ['type', 'title', 'status', 'code', 'detail', 'problems'],
          properties: {
            type: { type: 'string' },
            title: { type: 'string' },
            status: { type: 'integer' },
            code: { enum: Object.keys(PROBLEM_CODES) },
            detail: { type: 'string' },
            way_out: { type: ['string', 'null'] },
            problems: {
              type: 'array',
              items: {
                type: 'object',
                properties: {
                  field: { type: ['string', 'null'] },
                  value: {},
                  limit: { type: ['string', 'null'] },
                  detail: { type: 'string' },
                },
              },
            },
          },
        },
      },
    },
  };
}
