import type { Because } from '../because';
import { DEFAULTS } from '../defaults';

interface MeasurementQuestion {
  code: 'WRONG_UNIT' | 'FAR_FROM_EXPECTED' | 'FAR_FROM_LAST' | 'OUTSIDE_SHEET' | 'DIAMETER_FAR_FROM_DC';
  words: string;
  because: Because;
}

export interface MeasuredAgainst {
  /** Measured gauge length, mm. */
  L: number;
  /** Gauge-to-face + stickout, mm. */
  expected: number;
  /** The last accepted gauge length of the same build, mm; null when there is none. */
  last: number | null;
  /** The build sheet it was built from, with the gauge lengths that its stickout comes to, mm; left out: from none. */
  sheet?: { code: string; least: number; most: number } | null;
  /** Measured and nominal diameter, mm; null when not measured. */
  D: number | null;
  DC: number;
}

const mm = (n: number) => `${n.toFixed(3)} mm`;

/**
 * Whether a measurement is in question, and why: more than 0.5 mm from expected, or more than 0.02 mm from the
 * last of the same build, or outside what the stickout of its build sheet comes to by more than 0.1, or a diameter more than
 * 2 % from DC (limits: DEFAULTS, common practice). One in question shows no register until a person accepts it with a reason, rejects it or measures again. Exactly at a
 * limit is not in question (compared to a tenth of a micron). Example: L 142.357, last 142.316: 0.041 longer.
 */
export function questionMeasurement(m: MeasuredAgainst): MeasurementQuestion[] {
  const questions: MeasurementQuestion[] = [];
  const over = (difference: number, limit: number) => Math.abs(difference) > limit + 1e-4;
  const fromExpected = m.L - m.expected;
  const unit = otherUnit(m);
  if (unit !== null) questions.push(unit);
  else if (over(fromExpected, DEFAULTS.measuredFromExpectedMm))
    questions.push({
      code: 'FAR_FROM_EXPECTED',
      words: `${mm(Math.abs(fromExpected))} ${fromExpected > 0 ? 'longer' : 'shorter'} than holder and stickout say`,
      because: {
        words: whyFar(fromExpected),
        formula: 'measured − (gauge line to face + stickout)',
        values: [
          { name: 'measured', value: mm(m.L) },
          { name: 'expected', value: mm(m.expected) },
          { name: 'limit', value: mm(DEFAULTS.measuredFromExpectedMm) },
        ],
      },
    });
  const { sheet } = m;
  const slack = DEFAULTS.faceKnownMm + 1e-4;
  if (unit === null && sheet && (m.L < sheet.least - slack || m.L > sheet.most + slack))
    questions.push({
      code: 'OUTSIDE_SHEET',
      words: `${sheet.code} wants ${sheet.least.toFixed(1)} to ${mm(sheet.most)}`,
      because: {
        words:
          'Set too far or too short for the sheet it is built from: it may not reach, or touch what it should clear.',
        formula: 'gauge line to face + stickout of the sheet, from least to most',
        values: [
          { name: 'measured', value: mm(m.L) },
          { name: 'least', value: mm(sheet.least) },
          { name: 'most', value: mm(sheet.most) },
        ],
      },
    });
  const fromLast = m.last === null ? 0 : m.L - m.last;
  if (m.last !== null && over(fromLast, DEFAULTS.measuredFromLastMm))
    questions.push({
      code: 'FAR_FROM_LAST',
      words: `${mm(Math.abs(fromLast))} ${fromLast > 0 ? 'longer' : 'shorter'} than last time`,
      because: {
        words:
          fromLast > 0
            ? 'Pulled out of the holder, or a chip on the taper? Clean, clamp, measure again.'
            : 'Slipped up into the holder, or worn? Hold the parts made since the last good measurement.',
        formula: 'measured − last of the same build',
        values: [
          { name: 'measured', value: mm(m.L) },
          { name: 'last', value: mm(m.last) },
          { name: 'limit', value: mm(DEFAULTS.measuredFromLastMm) },
        ],
      },
    });
  const [least, most] = DEFAULTS.diameterFromNominalMm;
  const off = Math.min(most, Math.max(least, DEFAULTS.diameterFromNominal * m.DC));
  if (m.D !== null && over(m.D - m.DC, off))
    questions.push({
      code: 'DIAMETER_FAR_FROM_DC',
      words: `diameter ${mm(Math.abs(m.D - m.DC))} ${m.D > m.DC ? 'over' : 'under'} DC`,
      because: {
        words: 'Another cutter than the tag says?',
        formula: 'measured diameter − DC',
        values: [
          { name: 'measured', value: mm(m.D) },
          { name: 'DC', value: mm(m.DC) },
          { name: 'limit', value: mm(off) },
        ],
      },
    });
  return questions;
}

/** A length that would be right in the other unit was read in that one: 25.4 to one, exactly (ISO 80000-3). */
function otherUnit({ L, expected }: MeasuredAgainst): MeasurementQuestion | null {
  const near = (mm: number) => Math.abs(mm - expected) <= DEFAULTS.measuredFromExpectedMm;
  const [inInches, inMm] = [near(L * 25.4), near(L / 25.4)];
  if (!inInches && !inMm) return null;
  return {
    code: 'WRONG_UNIT',
    words: inInches ? 'looks like inches entered as millimetres' : 'looks like millimetres entered as inches',
    because: {
      words:
        'The figure would be right in the other unit. Look at what the device shows, then enter it with its unit.',
      formula: 'expected ≈ 25.4 × measured, or measured ≈ 25.4 × expected',
      values: [
        { name: 'measured', value: mm(L) },
        { name: 'expected', value: mm(expected) },
      ],
    },
  };
}

/** What commonly makes a length so far off, by its side and by how much (common practice). */
function whyFar(off: number): string {
  const much = Math.abs(off) > 3;
  if (much)
    return 'Wrong tool, wrong stickout, another holder or an extension than the tag says? Check all, then measure again.';
  return off > 0
    ? 'Wrong stickout, a collet that is not snapped into its nut, a chip on the taper, or another holder than the tag says? Check, then measure again.'
    : 'Slipped in, wrong stickout, wrong tool, or another holder than the tag says? Check, then measure again.';
}
