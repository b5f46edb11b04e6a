import 'server-only';
import { createReadStream, rmSync, statSync } from 'node:fs';
import { A_HOLD, A_JOB, CATALOGUE, LABELS, MOVEMENTS, REGISTERS, STOCK } from '@/core/questions';
import { sure } from '@/core/sure';
import { localDay } from '@/core/units';
import { type Beside, type Crib, mayRead, readQuestion, type Signed } from '@/crib/door';
import { exportItems, exportMovements, exportStock, type Format } from '@/crib/exchange';
import { holdSheet } from '@/crib/held';
import { shiftView } from '@/crib/shift';
import { VERBS } from '@/crib/verbs';
import { jobView } from '@/crib/jobs';
import { webOf } from '@/crib/keeping';
import { kitView } from '@/crib/pockets';
import { labelsAsked } from '@/crib/rack';
import { exportRegisters, REGISTER_FILES, type RegisterFile } from '@/crib/registers';
import { maybePicture } from '@/data/catalogue';
import { maybeProgramText } from '@/data/jobs';
import { crib } from './crib';
import { holdPdf } from './holdPdf';
import { shiftPdf } from './shiftPdf';
import { kitPdf } from './kitPdf';
import { labelsPdf } from './labelPdf';
import { setupPdf } from './setupPdf';

/** What is said to one is kept by nobody on the way. */
export const PRIVATE = { 'cache-control': 'no-store' };

/** Types of the lists that go out. */
export const TYPES = {
  csv: 'text/csv; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  json: 'application/json',
} as const;
/** Lists that go out as files, each what is seen of it. */
export const LISTS = {
  items: (c, query, format, beside) => exportItems(c, readQuestion(CATALOGUE, query), format, beside),
  stock: (c, query, format, beside) => exportStock(c, readQuestion(STOCK, query), format, beside),
  movements: (c, query, format, beside) => exportMovements(c, readQuestion(MOVEMENTS, query), format, beside),
} satisfies Record<
  string,
  (
    c: Crib['db'],
    query: URLSearchParams,
    format: Format,
    beside?: Beside,
  ) => Promise<Uint8Array | AsyncIterable<Uint8Array>>
>;
export async function exported(
  query: URLSearchParams,
  list: keyof typeof LISTS,
  format: Format,
): Promise<Response> {
  const { db, beside } = await crib();
  const made = await LISTS[list](db, query, format, beside);
  // Bytes of the database or of ExcelJS lie in a plain buffer, which their type leaves open.
  return attached(
    made instanceof Uint8Array ? (made as BodyInit) : webOf(made),
    TYPES[format],
    `${list}.${format}`,
  );
}

/** A file to be kept. */
const attached = (body: BodyInit, type: string, name: string) =>
  new Response(body, {
    headers: {
      'content-type': type,
      ...PRIVATE,
      'content-disposition': `attachment; filename="${name}"`,
    },
  });

/** What a machine is to be given, as a file. */
export async function registersFile(query: URLSearchParams, as: RegisterFile): Promise<Response> {
  const { db, now, zone } = await crib();
  const { text, name } = await exportRegisters(db, readQuestion(REGISTERS, query), as, now(), zone);
  return attached(text, REGISTER_FILES[as], name);
}

/** Labels of assemblies as they would be printed now. */
export async function labelsFile(query: URLSearchParams): Promise<Response> {
  const { db, zone } = await crib();
  const asked = readQuestion(LABELS, query);
  const labels = await labelsAsked(db, asked, zone);
  const pdf = await labelsPdf(labels, asked.as ?? 'sheet', Math.min(asked.used ?? 0, 1_000));
  return attached(Uint8Array.from(pdf), 'application/pdf', 'labels.pdf');
}

/** The setup sheet of an operation as it would be printed now; null: no such job. */
export async function setupFile(query: URLSearchParams): Promise<Response | null> {
  const { db, now, zone } = await crib();
  const { number, op } = readQuestion(A_JOB, query);
  const job = await jobView(db, number ?? '', op ?? null);
  if (!job) return null;
  const pdf = await setupPdf(job, now(), zone);
  // The number of a job is a code: letters, digits, dots, strokes.
  const name = `${job.operation.job.replaceAll('/', '-')}-${job.operation.number}.pdf`;
  return attached(Uint8Array.from(pdf), 'application/pdf', name);
}

/** What is handed over, as it would be printed now. */
export async function shiftFile(): Promise<Response> {
  const { db, now, zone } = await crib();
  const shift = await shiftView(db, localDay(now(), zone), VERBS);
  return attached(Uint8Array.from(await shiftPdf(shift, now(), zone)), 'application/pdf', 'hand-over.pdf');
}

/** Tags of held parts as they would be printed now; null: no such hold. */
export async function holdFile(query: URLSearchParams): Promise<Response | null> {
  const { db, zone } = await crib();
  const { number } = readQuestion(A_HOLD, query);
  const hold = await holdSheet(db, number ?? '');
  if (!hold) return null;
  return attached(Uint8Array.from(await holdPdf(hold, zone)), 'application/pdf', `${hold.number}.pdf`);
}

/** What is fetched for an operation, as it would be printed now; null: no such job. */
export async function kitFile(query: URLSearchParams): Promise<Response | null> {
  const { db, now, zone } = await crib();
  const kit = await kitView(db, readQuestion(A_JOB, query), localDay(now(), zone));
  if (!kit) return null;
  const pdf = await kitPdf(kit, now(), zone);
  return attached(
    Uint8Array.from(pdf),
    'application/pdf',
    `${kit.job.replaceAll('/', '-')}-${kit.number}-kit.pdf`,
  );
}

/** All that is kept as open files. The file goes once it was sent, or nobody takes it any more. */
export async function wholeArchive(signed: Signed): Promise<Response> {
  mayRead(signed, [], 'archive.zip');
  const { keeper } = await crib();
  const { file, name } = await sure(keeper, 'a server keeps its folder').archive();
  const stream = createReadStream(file);
  stream.once('close', () => rmSync(file, { force: true }));
  return new Response(webOf(stream), {
    headers: {
      'content-type': 'application/zip',
      'content-length': String(statSync(file).size),
      ...PRIVATE,
      'content-disposition': `attachment; filename="${name}"`,
    },
  });
}

/** A kept picture or its thumbnail: what an entry kept never changes. */
export async function shownPicture(entry: number, small: boolean): Promise<Response | null> {
  const picture = await maybePicture((await crib()).db, entry);
  if (!picture) return null;
  // As above.
  return new Response((small ? picture.thumb : picture.bytes) as BodyInit, {
    headers: {
      'content-type': picture.mime,
      'cache-control': 'private, max-age=86400',
      'x-content-type-options': 'nosniff',
    },
  });
}

/** A program as it was stored, by its entry. */
export async function storedProgram(entry: number): Promise<Response | null> {
  const program = await maybeProgramText((await crib()).db, entry);
  if (!program) return null;
  return new Response(program.text, {
    headers: { 'content-type': 'text/plain; charset=utf-8', 'x-content-type-options': 'nosniff', ...PRIVATE },
  });
}
