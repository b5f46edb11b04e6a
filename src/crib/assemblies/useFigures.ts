import { type CutterGeometry, sameTaper } from '@/core/cutters';
import {
  type AskedHere,
  asksOf,
  type ChangeAt,
  type Jaws,
  type RecipesHere,
  type UseBuild,
  type UseMachine,
} from '@/core/jobs';
import { type CribItem, cutterDetails, factNumber, loadItem } from '@/crib/catalogue';
import { recipesAround, recipesHere } from '@/crib/cutting';
import { found, Problem } from '@/crib/door';
import type { Connection } from '@/data/database';
import {
  manyPassDepths,
  manyPrograms,
  manyToolPlans,
  maybeOperation,
  type OperationRow,
  type PassDepthRow,
} from '@/data/jobs';
import { type MachineRow, maybeMachine } from '@/data/shop';
import type { SetPart } from './putTogether';
import { readOtherwiseOn } from './reading';

/** Parts still to make of an operation; none of one that is closed or cancelled. */
export const partsLeftOf = (o: OperationRow): number =>
  o.state === 'open' ? Math.max(0, o.quantity - o.partsMade) : 0;

export const hereOf = (
  operation: OperationRow,
  pass: PassDepthRow | null,
  recipes: RecipesHere | null,
  change: ChangeAt | null = null,
): AskedHere => ({
  highestBeside: operation.highestBesideMm,
  passDepth: pass?.depthMm ?? null,
  stock:
    operation.zeroZMm === null ? null : { bottom: 0 - operation.zeroZMm, parallels: operation.parallelsMm },
  jaws: jawsOf(operation),
  partZero: operation.partZeroMm,
  recipes,
  changeAt: change,
  fragmentsOfT: operation.fragmentsOfT,
});

/** The vise its setup sheet names, between whose jaws the stock lies; null: it names none, or not where zero is in the stock. */
function jawsOf(o: OperationRow): Jaws | null {
  const { vise, zeroYMm, zeroZMm, stockYMm, parallelsMm, jawHighMm } = o;
  if (vise === null || zeroYMm === null || zeroZMm === null || stockYMm === null) return null;
  return {
    vise,
    // The part's bottom lies on its parallels, which lie on the bed.
    top: jawHighMm === null || parallelsMm === null ? null : jawHighMm - parallelsMm - zeroZMm,
    stock: { least: 0 - zeroYMm, most: stockYMm - zeroYMm },
  };
}

export const machineOf = (m: MachineRow): UseMachine => ({
  code: m.code,
  taper: m.taper,
  hEqualsT: m.hEqualsT,
  rpmMax: m.rpmMax,
  feedMax: m.feedMaxMmMin,
  coolantBar: m.coolantBar,
  k: m.kMm,
  travelZ: m.travelZMm,
  hunts: m.huntsFrom !== null && m.huntsTo !== null ? { from: m.huntsFrom, to: m.huntsTo } : null,
});

/** The figures of a build, standing or only meant. */
export const buildOf = (
  name: string,
  cutter: CribItem,
  present: CutterGeometry,
  holder: CribItem,
  stickout: number,
  parts: readonly SetPart[] = [],
): UseBuild => ({
  name,
  itemCode: cutter.code,
  cutter: present,
  body: cutter.kind === 'body' ? { rpmMax: factNumber(cutter, 'RPM_MAX') } : null,
  stickout,
  holder: { taper: holder.taper, rpmMax: holder.holder?.RPM_MAX ?? null },
  cuts: {
    centreCutting: cutter.centreCutting,
    pitch: factNumber(cutter, 'TP'),
    body: cutter.kind === 'body',
  },
  coolantThrough: cutterDetails(cutter).CSP,
  extensions: parts
    .filter((p) => p.item.kind === 'extension')
    .map((p) => ({ code: p.item.code, rpmMax: factNumber(p.item, 'RPM_MAX') })),
});

/** A T of an operation that something is to be built for, with what is asked of it there. */
export async function wantedFor(c: Connection, operationId: number, t: number) {
  const operation = found(await maybeOperation(c, operationId), 'for.operation', operationId, 'operation');
  const [program] = await manyPrograms(c, [operation.id]);
  const tool = program?.tools.find((x) => x.t === t);
  const machine = found(await maybeMachine(c, operation.machine), 'machine', operation.machine, 'machine');
  const pass = (await manyPassDepths(c, [operation.id])).find((p) => p.t === t) ?? null;
  const plan = (await manyToolPlans(c, [operation.id])).find((p) => p.t === t);
  const recipes = await recipesAround(c, plan?.recipeId ? [plan.recipeId] : [], [], []);
  return {
    operation,
    wanted:
      tool && program
        ? {
            asks: asksOf(tool, readOtherwiseOn(program, machine).figures),
            here: hereOf(operation, pass, recipesHere(recipes, operation.material, plan?.recipeId ?? null)),
            machine: machineOf(machine),
          }
        : null,
  };
}

/** Refuses a holder whose spindle side is known to be another than the machine's. */
export async function goesInto(c: Connection, holderItemId: number, machineCode: string): Promise<void> {
  const holder = await loadItem(c, holderItemId);
  const machine = found(await maybeMachine(c, machineCode), 'machine', machineCode, 'machine');
  if (holder.taper !== null && sameTaper(machine.taper, holder.taper) === false)
    throw new Problem('REFUSED', `${holder.taper} does not go into ${machine.code}: ${machine.taper}`, {
      field: 'tag',
      value: holder.taper,
      limit: machine.taper,
      wayOut: 'Choose an assembly with this spindle side; if the holder is recorded wrong, state it anew.',
    });
}
