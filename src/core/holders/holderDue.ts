import type { Because } from '../because';
import { type ItemKind, readTaper } from '../cutters';
import { addMonths } from '../units';
import type { HolderLook } from './judgeHolder';
import type { HolderRule } from './rule';

/** What is known of the age of one holder, extension or collet with a mark of its own; days ISO. */
export interface HolderAges {
  mark: string;
  kind: ItemKind;
  /** Its spindle side as its item says; null: not known, or it has none. */
  taper: string | null;
  /** In use since; null: nobody knows. */
  since: string | null;
  /** The day it got its mark. */
  marked: string;
  look: { day: string; found: HolderLook } | null;
  /** Clampings since it was looked over, or since it has its mark. */
  clampings: number;
  /** When its pull stud was changed last; null: nobody wrote it. */
  studChanged: string | null;
  rule: HolderRule;
}

/** Something that is to be done with a holder. */
export interface HolderDue {
  what: 'look' | 'stud';
  /** null: by the number of clampings alone. */
  day: string | null;
  late: boolean;
  words: string;
  because: Because;
}

/**
 * Whether a pull stud is screwed into it: the 7:24 cones of machines that change tools have one; one for a drawbar
 * (ISO 297), HSK and others have none. Source: ISO 7388, from memory.
 */
export function takesStud({ kind, taper }: Pick<HolderAges, 'kind' | 'taper'>): boolean {
  const read = kind === 'holder' && taper !== null ? readTaper(taper) : null;
  return read?.cone === '7:24' && read.standard !== 'ISO 297';
}

/**
 * When one is to be looked over again and its pull stud changed, what is due first first; late from the day after. What
 * was never looked over is due by its age, or from the day it got its mark where that is all that is known; what is out of
 * use is due for nothing. Source: the rule; common practice where it is assumed. Example: looked over on 2026-01-05 with a
 * rule of 12 months: late from 2027-01-06.
 */
export const holderDue = (ages: HolderAges, today: string): HolderDue[] =>
  ages.look?.found === 'bad'
    ? []
    : [...lookDue(ages, today), ...studDue(ages, today)].sort((a, b) => key(a).localeCompare(key(b)));

/** What is late without a day comes first. */
const key = (d: HolderDue): string => (d.day === null ? (d.late ? '' : '9') : d.day);

/** So many of something, in words. Examples: '1 clamping', '12 months'. */
export const counted = (n: number, what: string): string => `${n} ${what}${n === 1 ? '' : 's'}`;

const by = (rule: HolderRule): string =>
  rule.from === 'assumed' ? 'assumed: nobody said' : `${rule.from} rule`;
const ageOf = ({ since, marked }: HolderAges): Because['values'] => [
  since === null
    ? { name: 'in use since', value: 'not known', source: `marked on ${marked}` }
    : { name: 'in use since', value: since },
];

function lookDue(ages: HolderAges, today: string): HolderDue[] {
  const { mark, rule, look, clampings, since, marked } = ages;
  if (rule.lookMonths === null && rule.lookClampings === null) return [];
  const day = rule.lookMonths === null ? null : addMonths(look?.day ?? since ?? marked, rule.lookMonths);
  const often = rule.lookClampings !== null && clampings >= rule.lookClampings;
  const isPast = day !== null && day < today;
  return [
    {
      what: 'look',
      day,
      late: often || isPast,
      words: isPast
        ? `${mark} was to be looked over by ${day}`
        : often
          ? `${mark} is to be looked over: ${counted(clampings, 'clamping')} since`
          : day === null
            ? `${mark}: looked over after ${counted(rule.lookClampings ?? 0, 'clamping')}, ${clampings} so far`
            : `${mark} is to be looked over by ${day}`,
      because: {
        words:
          'Bruised or fretted tapers, worn bores and tired nuts are seen on the bench, not in the spindle.',
        values: [
          { name: 'looked over', value: look?.day ?? 'not since it has its mark' },
          ...(look ? [] : ageOf(ages)),
          { name: 'clampings since', value: String(clampings) },
          {
            name: 'again after',
            value: [
              ...(rule.lookMonths === null ? [] : [counted(rule.lookMonths, 'month')]),
              ...(rule.lookClampings === null ? [] : [counted(rule.lookClampings, 'clamping')]),
            ].join(' or '),
            source: by(rule),
          },
        ],
      },
    },
  ];
}

function studDue(ages: HolderAges, today: string): HolderDue[] {
  const { mark, rule, studChanged, since, marked } = ages;
  if (rule.studMonths === null || !takesStud(ages)) return [];
  const day = addMonths(studChanged ?? since ?? marked, rule.studMonths);
  const late = day < today;
  return [
    {
      what: 'stud',
      day,
      late,
      words: `the pull stud of ${mark} ${late ? 'was' : 'is'} to be changed by ${day}`,
      because: {
        words: 'A stud tires by every pull of the drawbar, and one that breaks drops the tool.',
        values: [
          { name: 'changed', value: studChanged ?? 'not since it has its mark' },
          ...(studChanged ? [] : ageOf(ages)),
          { name: 'again after', value: counted(rule.studMonths, 'month'), source: by(rule) },
        ],
      },
    },
  ];
}
