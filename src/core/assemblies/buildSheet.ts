import { type Grade, type Judgement, mm, orUnknown, say, worstGrade } from '../because';
import { type CutterGeometry, cuttingHeight, type Family, familySpec, type HolderGeometry } from '../cutters';
import { DEFAULTS } from '../defaults';
import { colletSize } from './holdsAs';
import type { HolderDetails, Part } from './parts';

/** What a cutter must be to go into a build of a sheet; mm and degrees, null: nothing is asked of it. */
export interface MustHave {
  family: Family;
  DC: number;
  /** At least so much of flute. */
  LCF: number | null;
  DMM: number | null;
  RE: number | null;
  SIG: number | null;
  NOF: number | null;
  substrate: string | null;
}

/** What is told of a cutter that is offered for a sheet. */
export interface Offered {
  code: string;
  cutter: CutterGeometry;
  substrate: string | null;
}

interface SheetHolder {
  details: HolderDetails;
  geometry: HolderGeometry;
}

/** A design that is built again and again, as far as a build is held against it. */
export interface SheetDesign {
  /** Code and version: 'BS-12 v3'. */
  name: string;
  /** The very cutter; null: any that has what it must have. */
  cutterCode: string | null;
  must: MustHave;
  holder: SheetHolder;
  parts: readonly Part[];
  /** Tip to the face that holds it, mm. */
  range: { least: number; most: number };
  /** The sheet's own least grip, mm. */
  grip: number | null;
}

/** What is built after a sheet: present sizes, so that a reground cutter is what it is now. */
export interface BuiltAfter {
  offered: Offered;
  holder: SheetHolder;
  parts: readonly Part[];
  stickout: number;
}

/** What a sheet that names a very cutter asks of one that stands in for it: its own figures. */
export const mustOf = (cutter: CutterGeometry, substrate: string | null): MustHave => ({
  family: cutter.family,
  DC: cutter.DC,
  LCF: cuttingHeight(cutter),
  DMM: cutter.DMM,
  RE: cutter.RE,
  SIG: cutter.SIG,
  NOF: cutter.NOF,
  substrate,
});

/**
 * Whether a cutter may go into a build of a sheet, its own or one that stands in for it (common practice): another form,
 * diameter, corner or point cuts another part, and one with less flute rubs: stop. Another number of flutes, material of
 * the edge or shank cuts the same part with other figures, or asks for another collet: question. What is not known of it
 * is not judged. Example: DC 9.8 after a regrind where 10 is asked: stop.
 */
export function standsIn(
  must: MustHave,
  { code, cutter, substrate }: Offered,
  asked: string | null,
): Judgement {
  const found: { grade: Grade; words: string }[] = [];
  const differs = (grade: Grade, words: string) => found.push({ grade, words });
  if (cutter.family !== must.family)
    differs('stop', `${familySpec(cutter.family).words}, not ${familySpec(must.family).words}`);
  const same = (name: string, has: number | null, wants: number | null, off: number, grade: Grade) => {
    if (wants === null) return;
    if (has === null) differs('not judged', `its ${name} is not known`);
    else if (Math.abs(has - wants) > off + 1e-9)
      differs(grade, `${name} ${short(has)}, the sheet asks for ${short(wants)}`);
  };
  same('DC', cutter.DC, must.DC, DEFAULTS.standsInMm, 'stop');
  same('RE', cutter.RE, must.RE, DEFAULTS.standsInMm, 'stop');
  if (must.RE === null && (cutter.RE ?? 0) > 0)
    differs('question', `RE ${short(cutter.RE ?? 0)}, the sheet says none`);
  same('SIG', cutter.SIG, must.SIG, 0.5, 'stop');
  same('DMM', cutter.DMM, must.DMM, DEFAULTS.standsInMm, 'question');
  same('NOF', cutter.NOF, must.NOF, 0, 'question');
  const high = cuttingHeight(cutter);
  if (must.LCF !== null && high === null) differs('not judged', 'its flutes are not known');
  else if (must.LCF !== null && high !== null && high < must.LCF - 1e-9)
    differs('stop', `${mm(must.LCF - high)} less flute than the sheet asks for`);
  if (must.substrate !== null && substrate !== must.substrate)
    differs(
      substrate === null ? 'not judged' : 'question',
      `${substrate ?? 'edge not known'}, not ${must.substrate}`,
    );
  return told('SHEET_CUTTER', code, asked, found);
}

/** Whether a holder may stand in for the sheet's. Example: 12 mm longer: question, since the tool comes out longer. */
export function holderStandsIn(asked: SheetHolder, offered: SheetHolder): Judgement {
  const [a, o] = [asked.details, offered.details];
  const found: { grade: Grade; words: string }[] = [];
  const differs = (grade: Grade, words: string) => found.push({ grade, words });
  if (a.code !== o.code) {
    if (a.CCMS !== null && o.CCMS !== a.CCMS)
      differs(
        o.CCMS === null ? 'not judged' : 'stop',
        `spindle side ${o.CCMS ?? 'not known'}, not ${a.CCMS}`,
      );
    if (a.CLAMPING !== null && o.CLAMPING !== a.CLAMPING)
      differs(
        o.CLAMPING === null ? 'not judged' : 'question',
        `holds by ${o.CLAMPING ?? 'what is not known'}, not ${a.CLAMPING}`,
      );
    if (a.COLLET !== null && (o.COLLET === null || colletSize(o.COLLET) !== colletSize(a.COLLET)))
      differs(
        'stop',
        o.COLLET === null ? `takes no collet ${a.COLLET}` : `takes collet ${o.COLLET}, not ${a.COLLET}`,
      );
    const longer = offered.geometry.LF - asked.geometry.LF;
    if (Math.abs(longer) > DEFAULTS.standsInMm)
      differs('question', `comes out ${mm(Math.abs(longer))} ${longer > 0 ? 'longer' : 'shorter'}`);
    const thicker = widest(offered.geometry) - widest(asked.geometry);
    if (Number.isNaN(thicker)) differs('not judged', 'its outline is not known');
    else if (thicker > DEFAULTS.standsInMm) differs('question', `${mm(thicker)} thicker`);
    const [most, asks] = [offered.geometry.RPM_MAX, asked.geometry.RPM_MAX];
    if (asks !== null && (most === null || most < asks))
      differs(
        most === null ? 'not judged' : 'question',
        `turns ${orUnknown(most, String)} rpm at most, not ${asks}`,
      );
  }
  return told('SHEET_HOLDER', o.code, a.code, found);
}

/**
 * Each part of a sheet and what was taken for it, in order; what is missing and what is more than the sheet has. A part
 * stands in for one of its kind where it is of the same size (collet) or sets as far out (extension).
 */
export function partsStandIn(asked: readonly Part[], offered: readonly Part[]): Judgement[] {
  const left = [...offered];
  const take = (is: (p: Part) => boolean): Part | null => {
    const at = left.findIndex(is);
    return at < 0 ? null : (left.splice(at, 1)[0] ?? null);
  };
  const own = asked.map((p) => take((x) => x.code === p.code));
  const list = asked.map((p, i): Judgement => {
    const is = own[i] ?? take((x) => x.kind === p.kind);
    return is
      ? told('SHEET_PART', is.code, p.code, is.code === p.code ? [] : otherPart(p, is))
      : say(
          'SHEET_PART',
          'stop',
          `${p.code} is missing`,
          'The sheet has it: without it the tool is another.',
        );
  });
  return [
    ...list,
    ...left.map((p) =>
      say('SHEET_PART', 'question', `${p.code} is not on the sheet`, 'The sheet has no such part.'),
    ),
  ];
}

function otherPart(asked: Part, is: Part): { grade: Grade; words: string }[] {
  const found: { grade: Grade; words: string }[] = [];
  const differs = (grade: Grade, words: string) => found.push({ grade, words });
  const plain = (w: string | null) => (w === null ? null : colletSize(w));
  if (asked.kind === 'collet' && asked.COLLET !== null && plain(is.COLLET) !== plain(asked.COLLET))
    differs(
      is.COLLET === null ? 'not judged' : 'stop',
      `collet ${is.COLLET ?? 'not known'}, not ${asked.COLLET}`,
    );
  if (asked.kind === 'collet' && (is.CLAMP_MIN !== asked.CLAMP_MIN || is.CLAMP_MAX !== asked.CLAMP_MAX))
    differs('question', `for ${orUnknown(is.CLAMP_MIN)} to ${orUnknown(is.CLAMP_MAX)}`);
  const out = (p: Part) => p.setOut ?? p.LPR;
  if (asked.kind === 'extension' && out(is) !== out(asked))
    differs('question', `stands out ${orUnknown(out(is))}, not ${orUnknown(out(asked))}`);
  if (asked.kind === 'pull-stud' && is.CCMS !== asked.CCMS)
    differs(
      is.CCMS === null ? 'not judged' : 'stop',
      `for ${is.CCMS ?? 'what is not known'}, not ${asked.CCMS ?? 'known'}`,
    );
  if (asked.CSP === true && is.CSP !== true)
    differs(is.CSP === null ? 'not judged' : 'question', 'coolant does not go through it');
  return found;
}

/**
 * Holds a build against the sheet it is built from: cutter, holder and parts, its own or what stands in, and the stickout
 * in its range. Whether it may be built at all judgeBuild says. mm. Example: stickout 40 where 31 to 33 is asked: stop.
 */
export function judgeBySheet(sheet: SheetDesign, built: BuiltAfter): Judgement[] {
  const { least, most } = sheet.range;
  const { stickout, offered } = built;
  const inRange = stickout >= least - 1e-9 && stickout <= most + 1e-9;
  const depth = offered.cutter.OAL === null ? null : offered.cutter.OAL - stickout;
  return [
    standsIn(sheet.must, offered, sheet.cutterCode),
    holderStandsIn(sheet.holder, built.holder),
    ...partsStandIn(sheet.parts, built.parts),
    say(
      'SHEET_STICKOUT',
      inRange ? 'good' : 'stop',
      inRange
        ? `Stickout as ${sheet.name} says`
        : `Stickout ${mm(stickout)}; ${sheet.name} says ${mm(least)} to ${mm(most)}`,
      'The sheet was drawn, and cleared of walls, for stickouts in its range.',
      [['stickout', mm(stickout)]],
      `${short(least)} ≤ stickout ≤ ${short(most)}`,
    ),
    ...(sheet.grip === null ? [] : [gripBySheet(sheet.grip, depth)]),
  ];
}

function gripBySheet(least: number, depth: number | null): Judgement {
  const grade: Grade = depth === null ? 'not judged' : depth >= least - 1e-9 ? 'good' : 'stop';
  const words =
    depth === null
      ? 'Grip of the sheet: not judged'
      : grade === 'good'
        ? `${mm(depth)} gripped`
        : `${mm(least - depth)} short of the sheet’s least grip`;
  return say(
    'SHEET_GRIP',
    grade,
    words,
    'The sheet asks for more than the holder may.',
    [
      ['grip', orUnknown(depth)],
      ['least grip', mm(least), 'the sheet'],
    ],
    'OAL − stickout ≥ least grip',
  );
}

const short = (n: number): string => String(Math.round(n * 1000) / 1000);
const widest = ({ segments }: HolderGeometry): number =>
  segments.length ? Math.max(...segments.flatMap((s) => [s.upper, s.lower])) : Number.NaN;

/** One judgement of what was taken for what a sheet asks: the worst of what differs, with all of it in words. */
function told(
  code: string,
  is: string,
  asked: string | null,
  found: readonly { grade: Grade; words: string }[],
): Judgement {
  const own = asked === null || is === asked;
  const grade = found.length ? worstGrade(found) : 'good';
  const what = own ? is : `${is} in the place of ${asked}`;
  return say(
    code,
    grade,
    found.length
      ? `${what}: ${found.map((f) => f.words).join(', ')}`
      : own
        ? `${is}, as the sheet says`
        : `${what}: the same in all it asks`,
    'What differs in form or size cuts another part: stop. What cuts the same part at other figures: question.',
    [
      ['the sheet', asked ?? 'any that has what it asks'],
      ['taken', is],
    ],
  );
}
