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
import { computation, part, type Computation } from '@/crib/door';

/** What is reckoned of cutters, holders, holes and inserts. */
export const CATALOGUE_COMPUTATIONS: readonly Computation[] = [
  computation<CutterGeometry>(
    'cutters/check',
    'Rules of geometry that a cutter breaks, and its words.',
    part.cutter,
    (i) => {
      const c = part.whole(i);
      return { faults: checkCutter(c), questions: questionCutter(c), words: describeCutter(c, null) };
    },
  ),
  computation<{ cutter: CutterGeometry; length: number }>(
    'cutters/outline',
    'Half outline of a cutter from its tip up, mm, and what had to be assumed.',
    part.shape({ cutter: part.cutter, length: part.positive }, ['cutter', 'length']),
    (i) => cutterOutline(part.whole(i.cutter), i.length),
  ),
  computation<{ cutter: CutterGeometry; stepover: number; depth: number }>(
    'cutters/floor',
    'Ridge height at a stepover, flat-floor stepover, diameter that cuts at a depth, smallest inside corner, mm; null: not known.',
    part.shape({ cutter: part.cutter, stepover: part.positive, depth: part.positive }, [
      'cutter',
      'stepover',
      'depth',
    ]),
    (i) => {
      const c = part.whole(i.cutter);
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
  computation<HolderGeometry>(
    'holders/check',
    'Rules of geometry that a holder breaks.',
    part.holder,
    (h) => ({
      faults: checkHolder(h),
    }),
  ),
  computation<{ nominal: number; cls: string; measured?: number | null }>(
    'holes/reamer',
    'Limits of a hole and its reamer, where a measured reamer stands and which classes it still makes, mm; null: class or size not known.',
    part.shape({ nominal: part.positive, cls: part.text, measured: part.orNull }, ['nominal', 'cls']),
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
    part.shape({ thread: part.text, by: { enum: ['cutting', 'forming'] }, drill: part.orNull }, [
      'thread',
      'by',
    ]),
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
    part.shape({ text: part.text }, ['text']),
    (i) => ({ diameter: parseDiameter(i.text) }),
  ),
  computation<{ code: string; cents?: number | null; usable?: number | null }>(
    'inserts/read',
    'What an ISO 1832 designation says, and the price of an edge in cents; null: no such code.',
    part.shape({ code: part.text, cents: part.orNull, usable: part.orNull }, ['code']),
    (i) => {
      const read = readInsertCode(i.code);
      return { read, pricePerEdge: pricePerEdge(i.cents ?? null, i.usable ?? read?.edges ?? null) };
    },
  ),
  computation<{ text: string }>(
    'tapers/read',
    'A spindle interface by its standard; null: not one that is read.',
    part.shape({ text: part.text }, ['text']),
    (i) => ({
      taper: readTaper(i.text),
    }),
  ),
];
