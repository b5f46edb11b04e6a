import { judgeBuild, judgeBySheet } from '@/core/assemblies';
import type { Judgement } from '@/core/because';
import { regroundGeometry } from '@/core/cutters';
import { judgeFit, type Use } from '@/core/jobs';
import { first, held } from '@/core/sure';
import { cutterOf, holderDetails, holderOf, loadItems, partOf } from '@/crib/catalogue';
import { mustBeClear } from '@/crib/breakage';
import { type Moment, Problem, toLength } from '@/crib/door';
import { judgedMarked } from '@/crib/stock';
import { insertAssembly, insertAssemblyPart, nextNumber } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import { insertTie, type OperationRow } from '@/data/jobs';
import { insertHolderIn, manyMarkedById } from '@/data/holders';
import { presentSizes } from '@/data/stock';
import { putTogether } from './putTogether';
import type { FullSheet } from './sheetOf';
import { type CutterSource, type HeldHolder, takeCutter } from './taking';
import { buildOf } from './useFigures';

interface Built {
  tag: string;
  assemblyId: number;
  judgements: Judgement[];
}

interface BuiltFor {
  /** What it is wanted for: judged before anybody tightens a nut. */
  wanted?: Pick<Use, 'asks' | 'here' | 'machine'>;
  /** Jobs it is built for: what is set aside for them may be taken. */
  jobs?: readonly string[];
  /** The sheet it is built from: held against it. */
  sheet?: FullSheet;
}

/**
 * Puts cutter and holder together and gives the build its tag number. Judged 'stop' is refused unless `despite`
 * says why: the hands at the bench can see what the figures can't.
 */
export async function build(
  c: Connection,
  moment: Moment,
  source: CutterSource,
  holder: HeldHolder,
  stickout: string | number,
  despite: string | undefined,
  { wanted, jobs = [], sheet }: BuiltFor = {},
): Promise<Built> {
  const length = toLength(stickout);
  const cutter = await takeCutter(c, moment, source, jobs, despite);
  const ids = [cutter.itemId, holder.itemId, ...holder.parts.map((p) => p.itemId)];
  const items = new Map((await loadItems(c, [...new Set(ids)])).map((i) => [i.id, i]));
  const [cutterItem, holderItem] = [held(items, cutter.itemId), held(items, holder.itemId)];
  const parts = holder.parts.map((p) => ({ item: held(items, p.itemId), setOut: p.outMm }));
  const present = regroundGeometry(
    cutterOf(cutterItem),
    (await presentSizes(c, [cutter.pieceId])).get(cutter.pieceId) ?? null,
  );
  const marked = [holder, ...holder.parts].flatMap((h) => (h.markedId === null ? [] : [h.markedId]));
  const judgements = [
    ...(await judgedMarked(c, await manyMarkedById(c, marked))).flatMap((m) => m.against),
    ...judgeBuild(putTogether(cutterItem, present, holderItem, parts, length.mm).build),
    ...(wanted
      ? judgeFit(wanted, buildOf('this build', cutterItem, present, holderItem, length.mm, parts))
      : []),
    ...(sheet
      ? judgeBySheet(sheet.design, {
          offered: { code: cutterItem.code, cutter: present, substrate: cutterItem.substrate },
          holder: { details: holderDetails(holderItem), geometry: holderOf(holderItem) },
          parts: parts.map((part) => partOf(part.item, part.setOut)),
          stickout: length.mm,
        })
      : []),
  ];
  const stops = judgements.filter((j) => j.grade === 'stop');
  if (stops.length && !despite)
    throw new Problem('REFUSED', stops.map((j) => j.words).join('. '), {
      field: 'stickout',
      value: length.entered,
      limit: first(stops).because.formula,
      wayOut:
        'Change the stickout or the holder, or look the holder over; or say in ‘despite’ why it is right all the same.',
    });
  const tag = await nextNumber(c, 'assembly', 'tag', 'A');
  const assemblyId = await insertAssembly(c, moment.entryId, {
    tag,
    pieceId: cutter.pieceId,
    edgeSetId: cutter.edgeSetId,
    holderItemId: holder.itemId,
    holderPlaceId: holder.placeId,
    holderLotId: holder.lotId,
    stickoutMm: length.mm,
    stickoutEntered: length.entered,
  });
  for (const [placeInStack, { markedId }] of [holder, ...holder.parts].entries())
    if (markedId !== null) await insertHolderIn(c, moment.entryId, { assemblyId, placeInStack, markedId });
  for (const [i, part] of holder.parts.entries())
    await insertAssemblyPart(c, moment.entryId, {
      assemblyId,
      placeInStack: i + 1,
      itemId: part.itemId,
      placeId: part.placeId,
      lotId: part.lotId,
      outMm: part.outMm,
      outEntered: part.outEntered,
    });
  return { tag, assemblyId, judgements };
}

export async function tieBuilt(
  c: Connection,
  moment: Moment,
  operation: OperationRow,
  t: number,
  assemblyId: number,
): Promise<void> {
  moment.leansOn(operation.entryId);
  await mustBeClear(c, moment, operation.id, t, 'for');
  await insertTie(c, moment.entryId, { operationId: operation.id, t, assemblyId: assemblyId });
}
