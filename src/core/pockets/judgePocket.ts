import { type Grade, type Judgement, mm, orUnknown, say } from '../because';
import { beside, type Magazine } from './magazine';

/** What a pocket asks of a tool: mm from the gauge line down, kg; null: not known. */
export interface PocketTool {
  tag: string;
  /** Widest below the gauge line. */
  wide: number | null;
  length: number;
  /** `atLeast`: a part of it is not counted. */
  weight: { kg: number; atLeast: boolean };
}

const kg = (n: number): string => `${Math.round(n * 100) / 100} kg`;

/**
 * Whether a tool may be put into a pocket: its weight, length and diameter by the magazine maker's limits, alone or beside
 * others, and whether one beside it is too wide to have it there. Limits are the machine's own; one that is not stated is
 * not judged. Example: 80 across in a carousel for 75 beside others: only with both pockets beside it empty.
 */
export function judgePocket(
  magazine: Magazine,
  pocket: number,
  tool: PocketTool,
  /** What is in the other pockets, by pocket. */
  loaded: ReadonlyMap<number, PocketTool>,
): Judgement[] {
  const others = beside(magazine, pocket).flatMap((p) => {
    const is = loaded.get(p);
    return is && is.tag !== tool.tag ? [{ pocket: p, is }] : [];
  });
  return [weighs(magazine, tool), reaches(magazine, tool), ...hasRoom(magazine, tool, others)];
}

function weighs({ weight }: Magazine, { weight: is }: PocketTool): Judgement {
  const judge = (grade: Grade, words: string) =>
    say(
      'POCKET_WEIGHT',
      grade,
      words,
      'A tool that is too heavy is dropped by the changer, or swings the arm into another.',
      [
        ['weight', `${is.atLeast ? 'at least ' : ''}${kg(is.kg)}`],
        ['heaviest', orUnknown(weight, kg)],
      ],
      'weight ≤ heaviest the magazine takes',
    );
  if (weight === null)
    return judge('not judged', 'Whether it is too heavy: the magazine’s limit is not known');
  if (is.kg > weight + 1e-9) return judge('stop', `${kg(is.kg - weight)} too heavy for the magazine`);
  return is.atLeast
    ? judge('not judged', `Weighs at least ${kg(is.kg)}: a part of it is not counted`)
    : judge('good', `${kg(is.kg)}, light enough`);
}

function reaches({ length }: Magazine, tool: PocketTool): Judgement {
  const judge = (grade: Grade, words: string) =>
    say(
      'POCKET_LENGTH',
      grade,
      words,
      'A tool that is too long hits the door, the table or the part as the magazine turns.',
      [
        ['length', mm(tool.length)],
        ['longest', orUnknown(length)],
      ],
      'gauge length ≤ longest the magazine takes',
    );
  if (length === null)
    return judge('not judged', 'Whether it is too long: the magazine’s limit is not known');
  return tool.length > length + 1e-9
    ? judge('stop', `${mm(tool.length - length)} too long for the magazine`)
    : judge('good', 'Short enough');
}

function hasRoom(
  { diameter, alone }: Magazine,
  tool: PocketTool,
  others: readonly { pocket: number; is: PocketTool }[],
): Judgement[] {
  const judge = (grade: Grade, words: string) =>
    say(
      'POCKET_ROOM',
      grade,
      words,
      'Wide tools strike those beside them: as the magazine’s maker says, they stand alone.',
      [
        ['across', orUnknown(tool.wide)],
        ['beside others', orUnknown(diameter)],
        ['alone', orUnknown(alone)],
      ],
      'across ≤ limit',
    );
  if (diameter === null || tool.wide === null)
    return [
      judge(
        'not judged',
        diameter === null
          ? 'Whether it has room: the magazine’s limit is not known'
          : 'Whether it has room: how wide it is, is not known',
      ),
    ];
  if (tool.wide > (alone ?? Infinity) + 1e-9)
    return [judge('stop', `${mm(tool.wide)} across: wider than any tool the magazine takes`)];
  if (tool.wide > diameter + 1e-9) {
    if (others.length)
      return [
        judge(
          'stop',
          `${mm(tool.wide)} across: pocket ${others.map((o) => `${o.pocket} (${o.is.tag})`).join(' and ')} must be empty`,
        ),
      ];
    return [
      alone === null
        ? judge(
            'not judged',
            `${mm(tool.wide)} across, and how wide one may be that stands alone is not known`,
          )
        : judge('good', 'Wide, with both pockets beside it empty'),
    ];
  }
  const wide = others.filter((o) => o.is.wide !== null && o.is.wide > diameter + 1e-9);
  return [
    wide.length
      ? judge(
          'stop',
          `${wide.map((o) => `${o.is.tag} in pocket ${o.pocket}`).join(', ')} is too wide to have one beside it`,
        )
      : judge('good', 'Has room'),
  ];
}
