import { connection } from 'next/server';
import { LIMITS } from '@/core/limits';
import { isOne, namesOf } from '@/core/names';
import { PROGRESS } from '@/core/questions';
import { sure } from '@/core/sure';
import { ACTS } from '@/crib/acts';
import { compute, COMPUTATIONS } from '@/crib/computations';
import {
  bodyBytes,
  type Far,
  here,
  mayRead,
  performAs,
  Problem,
  PROBLEM_CODES,
  readQuestion,
  toProblem,
  validate,
} from '@/crib/door';
import { previewFields, previewImport, shownPreview } from '@/crib/exchange';
import { type Act, runAct, secondAsked, stayAtHand } from '@/crib/people';
import { programPieces, readOptionsOf, readProgramFile } from '@/crib/jobs';
import { openApi } from '@/crib/openapi';
import { READ_DEVICE, type ReadDevice, readDevice } from '@/crib/devices';
import { REGISTER_FILES } from '@/crib/registers';
import { VERBS } from '@/crib/verbs';
import { VIEWS } from '@/crib/views';
import { fileBody, jsonBody } from '../../../server/body';
import { crib } from '../../../server/crib';
import { cookieOf } from '../../../server/cookie';
import { actContext, mustBeSigned, signedBy } from '../../../server/signed';
import {
  exported,
  LISTS,
  PRIVATE,
  labelsFile,
  registersFile,
  setupFile,
  holdFile,
  shiftFile,
  kitFile,
  shownPicture,
  storedProgram,
  TYPES,
  wholeArchive,
} from '../../../server/files';
import { openFor } from '../../../server/views';

type Context = { params: Promise<{ path: string[] }> };

const answer = (error: unknown): Response => {
  const document = toProblem(error).document();
  return new Response(JSON.stringify(document), {
    status: document.status,
    headers: {
      'content-type': 'application/problem+json',
      ...PRIVATE,
      ...(document.status === 401 ? { 'www-authenticate': 'Bearer' } : {}),
      ...(document.status === 503 ? { 'retry-after': '5' } : {}),
    },
  });
};
const json = (value: unknown, more: { status?: number; headers?: Record<string, string> } = {}) =>
  Response.json(value, {
    status: more.status ?? 200,
    headers: { ...PRIVATE, ...more.headers },
  });
/** JSON that was written already. */
const ofJson = (text: string) =>
  new Response(text, { headers: { 'content-type': 'application/json', ...PRIVATE } });
const nothingHere = (path: string) =>
  new Problem('NOT_FOUND', `/api/v1/${path} is nothing here`, {
    field: 'path',
    value: path,
    limit: 'a path of /api/v1/openapi.json',
    wayOut: 'Look it up in /api/v1/openapi.json.',
  });

/** Views, the OpenAPI document, and the words of a problem type. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  await connection();
  const path = (await params).path.join('/');
  try {
    if (path === 'openapi.json') return Response.json(openApi());
    const code = Object.entries(PROBLEM_CODES).find(
      ([c]) => path === `problems/${c.toLowerCase().replaceAll('_', '-')}`,
    );
    if (code) return Response.json({ code: code[0], title: code[1] });
    const signed = await mustBeSigned(request);
    if (path === 'progress') return json(await howFar(new URL(request.url).searchParams));
    const [list, format, ...more] = path.split('.');
    if (!more.length && isOne(namesOf(LISTS), list) && isOne(namesOf(TYPES), format))
      return await exported(new URL(request.url).searchParams, list, format);
    if (list === 'registers' && !more.length && isOne(namesOf(REGISTER_FILES), format))
      return await registersFile(new URL(request.url).searchParams, format);
    if (path === 'labels.pdf') return await labelsFile(new URL(request.url).searchParams);
    if (path === 'setup-sheet.pdf')
      return (await setupFile(new URL(request.url).searchParams)) ?? answer(nothingHere(path));
    if (path === 'kit.pdf')
      return (await kitFile(new URL(request.url).searchParams)) ?? answer(nothingHere(path));
    if (path === 'hand-over.pdf') return await shiftFile();
    if (path === 'hold.pdf')
      return (await holdFile(new URL(request.url).searchParams)) ?? answer(nothingHere(path));
    if (path === 'archive.zip') return await wholeArchive(signed);
    const picture = /^pictures\/(\d{1,9})(\/small)?$/.exec(path);
    if (picture)
      return (await shownPicture(Number(picture[1]), picture[2] !== undefined)) ?? answer(nothingHere(path));
    const program = /^programs\/(\d{1,9})$/.exec(path);
    if (program) return (await storedProgram(Number(program[1]))) ?? answer(nothingHere(path));
    const view = VIEWS.find((v) => v.path === path);
    if (!view) throw nothingHere(path);
    mayRead(signed, view.may, path);
    const { view: once } = await openFor(signed);
    return json(await view.read(await crib(), new URL(request.url).searchParams, once, signed));
  } catch (error) {
    return answer(error);
  }
}

/** Verbs, computations, and what is done around signing in. Who asks is known before a body is read. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  const path = (await params).path.join('/');
  try {
    const act = ACTS.find((a) => a.path === path);
    if (act) return await acted(request, act);
    const signed = await mustBeSigned(request);
    if (path === 'programs/read') return await readSentProgram(request);
    if (path === 'devices/read') return json(await deviceRead(request));
    if (path === 'items/import-preview') return json(await previewed(request));
    const computation = COMPUTATIONS.find((c) => c.path === path);
    const verb = VERBS.find((v) => v.path === path);
    if (!computation && !verb) throw nothingHere(path);
    const schema = sure(computation ?? verb, 'one of the two').schema;
    const input = await jsonBody(request, bodyBytes(schema));
    if (computation) {
      validate(computation.schema, input);
      return ofJson(await computed(path, input, request.signal));
    }
    const known = sure(verb, 'a verb, where it is no computation');
    const asks = secondAsked(await actContext(request.headers, signed));
    const done = await performAs(await crib(), signed, known, input, VERBS, asks);
    await stayAtHand(await crib(), signed);
    return json(done, { status: done.again ? 200 : 201 });
  } catch (error) {
    return answer(error);
  }
}

/** Bytes of what is said around signing in: names, passwords, codes. */
const ACT_BYTES = 20_000;
async function acted(request: Request, act: Act): Promise<Response> {
  const signed = await signedBy(request.headers);
  const context = await actContext(request.headers, signed);
  const { answer: said, token } = await runAct(context, act, await jsonBody(request, ACT_BYTES));
  if (token === undefined) return json(said);
  // Who signs out leaves no page of theirs in the browser.
  const gone: Record<string, string> = token === null ? { 'clear-site-data': '"cache"' } : {};
  return json(said, { headers: { 'set-cookie': cookieOf(token), ...gone } });
}

/** Characters of an input from which its computation is done beside the server's own thread. */
const LARGE_INPUT = 4_000;
async function computed(path: string, input: unknown, signal: AbortSignal): Promise<string> {
  const beside = JSON.stringify(input).length > LARGE_INPUT ? ((await crib()).beside ?? here) : here;
  return beside(compute, { path, input }, { signal });
}

const PREVIEW = {
  type: 'object',
  properties: previewFields,
  required: ['content'],
  additionalProperties: false,
} as const;
/** What importing a list would do; nothing is written. */
async function previewed(request: Request) {
  const { content, mapping, formId } = await bodyOf<{
    content: string;
    mapping?: Record<string, string | null>;
    formId?: string;
  }>(request, PREVIEW);
  const { db, beside, progress } = await crib();
  const bytes = Buffer.from(content, 'base64');
  const { signal } = request;
  return progress.during(formId, async (tell) =>
    shownPreview(await previewImport(db, bytes, mapping, { beside, signal, tell })),
  );
}

/** How far the work has come that was sent with a form id; null: none goes on under it. */
async function howFar(asked: URLSearchParams): Promise<Far | null> {
  const { of } = readQuestion(PROGRESS, asked);
  return of === undefined ? null : (await crib()).progress.of(of);
}

/** A body that its schema lets in, in the type the schema has. */
async function bodyOf<Body>(request: Request, schema: object): Promise<Body> {
  const input = await jsonBody(request, bodyBytes(schema));
  validate(schema, input);
  // Checked one line above.
  return input as Body;
}

/** One reading of a device; nothing is written. */
const deviceRead = async (request: Request) =>
  readDevice((await crib()).db, await bodyOf<ReadDevice>(request, READ_DEVICE));

async function readSentProgram(request: Request): Promise<Response> {
  const options = readOptionsOf(new URL(request.url).searchParams);
  const beside = (await crib()).beside ?? here;
  const { look, end } = programPieces();
  return fileBody(request, LIMITS.programBytes.most, look, async (file) => {
    end();
    const { json } = await beside(readProgramFile, { file, options }, { signal: request.signal });
    return ofJson(json);
  });
}
