import {
  checkCutter,
  checkHolder,
  classesLeft,
  cutterOutline,
  describeCutter,
  effectiveDiameter,
  flatStepover,
  pricePerEdge,
  questionCutter,
  rampLimit,
  reach,
  readInsertCode,
  readTaper,
  readThread,
  reamerLimits,
  reamerState,
  ridgeHeight,
  smallestInsideCorner,
  tapDrill,
  threadPercent,
  type CutterGeometry,
  type HolderGeometry,
} from '@/core/cutters';
import { parseDiameter } from '@/core/units';
import { explainDifference, type DifferenceFacts } from '@/core/stock';
import {
  computation,
  cutter,
  holder,
  list,
  number,
  orNull,
  positive,
  shape,
  text,
  whole,
  type Computation,
} from './computation';

/** What is computed of cutters, holes, inserts and counts. */
export const OF_CUTTERS: readonly Computation[] = [
  computation<CutterGeometry>(
    'cutters/check',
    'Rules of geometry that a cutter breaks, and its words.',
    cutter,
    (i) => {
      const c = whole(i);
      return { faults: checkCutter(c), questions: questionCutter(c), words: describeCutter(c, null) };
    },
  ),
  computation<{ cutter: CutterGeometry; length: number }>(
    'cutters/outline',
    'Half outline of a cutter from its tip up, mm, and what had to be assumed.',
    shape({ cutter, length: positive }, ['cutter', 'length']),
    (i) => cutterOutline(whole(i.cutter), i.length),
  ),
  computation<{ cutter: CutterGeometry; stepover: number; depth: number }>(
    'cutters/floor',
    'Ridge height at a stepover, flat-floor stepover, diameter that cuts at a depth, smallest inside corner, mm; null: not known.',
    shape({ cutter, stepover: positive, depth: positive }, ['cutter', 'stepover', 'depth']),
    (i) => {
      const c = whole(i.cutter);
      return {
        flatStepover: flatStepover(c),
        ridgeHeight: ridgeHeight(c, i.stepover),
        effectiveDiameter: effectiveDiameter(c, i.depth),
        smallestInsideCorner: smallestInsideCorner(c),
        reach: reach(c),
        rampLimit: rampLimit(c, null),
      };
    },
  ),
  computation<HolderGeometry>('holders/check', 'Rules of geometry that a holder breaks.', holder, (h) => ({
    faults: checkHolder(h),
  })),
  computation<{ nominal: number; cls: string; measured?: number | null }>(
    'holes/reamer',
    'Limits of a hole and its reamer, where a measured reamer stands and which classes it still makes, mm; null: class or size not known.',
    shape({ nominal: positive, cls: text, measured: orNull }, ['nominal', 'cls']),
    (i) => {
      const limits = reamerLimits(i.nominal, i.cls);
      const measured = i.measured ?? null;
      return {
        limits,
        state: limits && measured !== null ? reamerState(limits, measured) : null,
        classesLeft: measured === null ? null : classesLeft(i.nominal, measured),
      };
    },
  ),
  computation<{ thread: string; by: 'cutting' | 'forming'; drill?: number | null }>(
    'holes/tap',
    'Drill before a tap, mm, and the thread percentage a drill leaves; null: not a thread that is read.',
    shape({ thread: text, by: { enum: ['cutting', 'forming'] }, drill: orNull }, ['thread', 'by']),
    (i) => {
      const thread = readThread(i.thread);
      return {
        thread,
        before: thread && tapDrill(thread, i.by),
        percent: thread && i.drill != null && i.by === 'cutting' ? threadPercent(thread, i.drill) : null,
      };
    },
  ),
  computation<{ text: string }>(
    'units/diameter',
    'A diameter as typed: mm, inches, fractions, number and letter drills; null: none.',
    shape({ text }, ['text']),
    (i) => ({ diameter: parseDiameter(i.text) }),
  ),
  computation<{ code: string; cents?: number | null; usable?: number | null }>(
    'inserts/read',
    'What an ISO 1832 designation says, and the price of an edge in cents; null: no such code.',
    shape({ code: text, cents: orNull, usable: orNull }, ['code']),
    (i) => {
      const read = readInsertCode(i.code);
      return { read, pricePerEdge: pricePerEdge(i.cents ?? null, i.usable ?? read?.edges ?? null) };
    },
  ),
  computation<{ text: string }>(
    'tapers/read',
    'A spindle interface by its standard; null: not one that is read.',
    shape({ text }, ['text']),
    (i) => ({
      taper: readTaper(i.text),
    }),
  ),
  computation<DifferenceFacts>(
    'stock/explain',
    'What may explain a difference between a count and the books, the likeliest first.',
    shape(
      {
        counted: number,
        expected: number,
        elsewhere: list(shape({ place: text, difference: number }, ['place', 'difference'])),
        alike: list(shape({ item: text, difference: number }, ['item', 'difference'])),
        hands: list(shape({ person: text, quantity: number }, ['person', 'quantity'])),
        recent: list(
          shape({ words: text, quantity: number, out: { type: 'boolean' } }, ['words', 'quantity', 'out']),
        ),
        pack: orNull,
      },
      ['counted', 'expected', 'elsewhere', 'alike', 'hands', 'recent', 'pack'],
    ),
    (i) => ({ explanations: explainDifference(i) }),
  ),
];
