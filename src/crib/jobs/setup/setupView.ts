import {
  aboveEnd,
  type AirRun,
  airRun,
  type Setup,
  type SheetTexts,
  stageOf,
  stockInZ,
  type Stage,
  type StockBox,
} from '@/core/jobs';
import { type Because, mm } from '@/core/because';
import { ALONG, registerText, workOffset, zeroInFixture } from '@/core/measuring';
import { isOne } from '@/core/names';
import { type AssemblyCard, lengthsOf } from '@/crib/rack';
import type { Connection } from '@/data/database';
import { type FixtureRow, manyFixtures } from '@/data/fixtures';
import { manySignatures, maybeSetupSheet, type SetupSheetRow } from '@/data/jobs';
import type { MachineRow } from '@/data/shop';
import type { JobLine } from '../jobLines';
import { setupOf } from './setupOf';
import { boxOf } from './sheetFields';
import { type Signatures, signaturesOf } from './signed';

/** Where the work offset comes to lie by the machine's cheat sheet, as it is entered; null: not known, with why. */
export interface SheetOffset {
  X: string | null;
  Y: string | null;
  /** As the machine's school of lengths wants it. */
  Z: string | null;
  /** Part zero above the datum surface, mm. */
  h: number;
  because: Because;
  /** What the operation has as part zero, where that is another height; mm. */
  stated: number | null;
}

/** How an operation is set up: its sheet, what follows from it, and who signed for it. */
export interface SetupView extends Signatures {
  sheet: SetupSheetRow | null;
  /** Its fields as they were entered, blank where there is no sheet. */
  texts: SheetTexts;
  box: StockBox | null;
  /** Top and bottom of the stock in the program's Z, mm. */
  inZ: { top: number | null; bottom: number | null };
  /** The vises of its machine, to choose from. */
  fixtures: Pick<FixtureRow, 'code' | 'name'>[];
  offset: SheetOffset | null;
  /** What of the sheet is wanting before its work offset is known, in words; null: nothing, or it names no vise. */
  offsetNeeds: string | null;
  /** Each T with its numbers as they are entered in this machine; null: not known. */
  tools: Setup['tools'];
  /** How far zero is raised for a run in the air; null: nothing feeds, or there is no program. */
  air: AirRun | null;
  stage: Stage;
}

/** Heights that differ by less are the same part zero (practice: a jaw gives as much). */
const SAME_ZERO_MM = 0.5;

export async function setupView(
  c: Connection,
  job: JobLine,
  machine: MachineRow,
  cards: readonly AssemblyCard[],
): Promise<SetupView> {
  const sheet = await maybeSetupSheet(c, job.operation.id);
  const setup = setupOf(job, machine, sheet, cards);
  const signatures = await signaturesOf(
    c,
    await manySignatures(c, [job.operation.id]),
    setup,
    job.tools.map((t) => t.tool),
  );
  const fixtures = await manyFixtures(c, machine.id);
  const box = sheet && boxOf(sheet);
  const vise = fixtures.find((f) => f.code === sheet?.fixture?.toUpperCase());
  const needs = sheet && box && vise ? wanting(sheet, box, vise) : null;
  const proved = signatures.signed.some((s) => s.step === 'proved' && s.doubts.length === 0);
  return {
    ...signatures,
    sheet,
    texts: setup.sheet,
    box,
    inZ: box ? stockInZ(box) : { top: null, bottom: null },
    fixtures: fixtures.map(({ code, name }) => ({ code, name })),
    offset: sheet && box && vise && !needs ? offsetOf(sheet, box, vise, machine, job) : null,
    offsetNeeds: needs,
    tools: setup.tools,
    air: airRun(
      job.tools.map((t) => t.tool.lowest_feed_z_mm),
      box ? stockInZ(box).top : null,
      roomsOf(job, machine, cards),
    ),
    stage: stageOfJob(job, proved),
  };
}

/** How far the first Z of each measured tool is below the end of Z, mm. */
function roomsOf(
  job: JobLine,
  machine: MachineRow,
  cards: readonly AssemblyCard[],
): { t: number; room: number }[] {
  const h = job.operation.partZeroMm;
  const k = machine.kMm;
  if (h === null || k === null) return [];
  return job.tools.flatMap(({ t, tag, tool }) => {
    const measured = cards.find((card) => card.tag === tag)?.measured;
    const firsts = tool.first_z.filter((f) => f.h !== null);
    if (measured?.state !== 'measured' || !firsts.length) return [];
    const highest = Math.max(...firsts.map((f) => f.z_mm));
    return [{ t, room: -aboveEnd(h, highest, measured.measurement.gaugeLengthMm, k) }];
  });
}

/** How far an operation is. */
export const stageOfJob = (job: JobLine, proved: boolean): Stage =>
  stageOf({
    ...{ state: job.operation.state, quantity: job.operation.quantity, partsMade: job.operation.partsMade },
    ...{ hasProgram: job.program !== null, ready: job.ready, tools: job.tools.length, proved },
  });

function wanting(
  sheet: SetupSheetRow,
  { stock, zero, parallels }: StockBox,
  vise: FixtureRow,
): string | null {
  const blank = [
    sheet.against === null && 'what the part lies against',
    stock.x === null && 'stock X',
    stock.y === null && 'stock Y',
    parallels === null && 'parallels',
    (zero.x === null || zero.y === null || zero.z === null) && 'zero',
    sheet.against === 'stop' && vise.stopMm === null && `a stop of ${vise.code} on the cheat sheet`,
  ].filter((w) => w !== false);
  return blank.length ? blank.join(', ') : null;
}

function offsetOf(
  sheet: SetupSheetRow,
  { stock, zero, parallels }: StockBox,
  vise: FixtureRow,
  machine: MachineRow,
  job: JobLine,
): SheetOffset | null {
  if (!isOne(ALONG, sheet.against) || stock.x === null || stock.y === null || parallels === null) return null;
  if (zero.x === null || zero.y === null || zero.z === null) return null;
  const at = zeroInFixture(
    {
      ...{ centre: vise.centreMm, width: vise.widthMm, jaw: vise.jawMm, far: vise.isFar, bed: vise.bedMm },
      stop: vise.stopMm,
    },
    {
      ...{ against: sheet.against, stock: { x: stock.x, y: stock.y }, parallels },
      zero: { x: zero.x, y: zero.y, z: zero.z },
    },
  );
  if (!at) return null;
  const stated = job.operation.partZeroMm;
  const text = (value: number) => registerText({ value }, machine);
  return {
    ...{ X: text(at.X), Y: text(at.Y), Z: registerText(workOffset(lengthsOf(machine), at.h), machine) },
    h: at.h,
    because: {
      words:
        'From the vise’s place on the machine’s cheat sheet: a vise that was moved or swivelled has another.',
      formula: `X = ${sheet.against === 'stop' ? 'stop' : sheet.against === 'left end' ? 'centre − width / 2' : 'centre + width / 2 − stock X'} + zero X; Y = fixed jaw${vise.isFar ? ' − stock Y' : ''} + zero Y; h = bed + parallels + zero Z`,
      values: [
        { name: 'centre', value: mm(vise.centreMm), source: `${vise.code}, stated by ${vise.who}` },
        { name: 'width', value: mm(vise.widthMm), source: vise.code },
        { name: 'fixed jaw', value: mm(vise.jawMm), source: vise.code },
        { name: 'bed', value: mm(vise.bedMm), source: vise.code },
        { name: 'parallels', value: mm(parallels), source: 'setup sheet' },
        { name: 'zero', value: `${mm(zero.x)}, ${mm(zero.y)}, ${mm(zero.z)}`, source: 'setup sheet' },
      ],
    },
    stated: stated !== null && Math.abs(stated - at.h) > SAME_ZERO_MM ? stated : null,
  };
}
