import { aside, type Grade, type Judgement, mm, orUnknown, say } from '../because';
import { familySpec, readTaper, sameTaper, type CutterGeometry } from '../cutters';
import { DEFAULTS } from '../defaults';
import { addsLength, colletSize, type holdsAs } from './holdsAs';
import { type CutterDetails, type HolderDetails, isSeated, type Part } from './parts';

type Held = ReturnType<typeof holdsAs>;
type Value = [name: string, value: string, source?: string];

/**
 * Judges each part of a build against its neighbour: collet against the nut's size, extension against what carries it,
 * pull stud against the taper; the way of the coolant; what the clamping is good for. Common practice, makers' figures.
 * What is not recorded is shown beside and decides nothing: nobody writes down every stud.
 * Example: a collet of size 16 in a holder for 32: stop.
 */
export const judgeParts = (
  held: Held,
  parts: readonly Part[],
  cutter: CutterGeometry,
  details: { cutter: CutterDetails; holder: HolderDetails },
): Judgement[] => [
  ...held.links.flatMap(({ carrier, part }) =>
    part.kind === 'collet' ? collet(carrier, part) : extension(carrier, part),
  ),
  ...colletMissing(held),
  ...lengthKnown(held),
  ...pullStud(parts, details.holder),
  ...coolant(held, parts, details),
  ...heavyCuts(held, cutter, details.cutter),
];

type Carrier = Held['carrier'];

/** One part, put next onto what is put together so far; a spare is taken at its word. */
export function judgePart(held: Held, part: Part, holder: HolderDetails): Judgement[] {
  if (part.kind === 'collet') return collet(held.carrier, part);
  if (part.kind === 'extension') return extension(held.carrier, part);
  return part.kind === 'pull-stud' ? pullStud([part], holder) : [];
}

const range = (c: Pick<Part, 'CLAMP_MIN' | 'CLAMP_MAX'>): string =>
  c.CLAMP_MIN === c.CLAMP_MAX
    ? orUnknown(c.CLAMP_MAX)
    : `${orUnknown(c.CLAMP_MIN)} to ${orUnknown(c.CLAMP_MAX)}`;

/** A collet sits by its size; a sleeve, which has none, by its outside. */
function collet(carrier: Carrier, part: Part): Judgement[] {
  const why = 'A collet of another size does not seat, or the nut cannot close it.';
  const judge = (grade: Grade, words: string, values: Value[]) => [
    say('COLLET_FITS', grade, words, why, values, 'size of the collet = size the nut takes'),
  ];
  if (carrier.by !== carrier.code)
    return judge('stop', `${carrier.by} is in ${carrier.code} already: no room for ${part.code}`, [
      ['in it', carrier.by, carrier.code],
    ]);
  if (part.COLLET === null && part.DMM !== null)
    return judge(...shankGoes(part.code, part.DMM, carrier), [
      ['outside of it', mm(part.DMM), part.code],
      ['takes', range(carrier), carrier.code],
    ]);
  const values: Value[] = [
    ['collet', part.COLLET ?? 'not known', part.code],
    ['takes collets', carrier.asksCollet ?? 'not known', carrier.code],
  ];
  if (part.COLLET === null || carrier.asksCollet === null)
    return judge('not judged', `Whether ${part.code} goes into ${carrier.code}: not judged`, values);
  return colletSize(part.COLLET) === colletSize(carrier.asksCollet)
    ? judge('good', `${part.code} goes into ${carrier.code}`, values)
    : judge(
        'stop',
        `${part.code} is a collet ${part.COLLET}; ${carrier.code} takes ${carrier.asksCollet}`,
        values,
      );
}

/** Whether something round of this diameter goes where a carrier grips. */
function shankGoes(name: string, d: number, carrier: Carrier): [Grade, string] {
  const { CLAMP_MIN: min, CLAMP_MAX: max } = carrier;
  if (min === null || max === null)
    return ['not judged', `Whether ${name} goes into ${carrier.by}: not judged`];
  if (d > max + 1e-9) return ['stop', `${name} is ${mm(d - max)} too thick for ${carrier.by}`];
  if (d < min - 0.05) return ['stop', `${name} is ${mm(min - d)} too thin for ${carrier.by}`];
  return ['good', `${name} goes into ${carrier.by}`];
}

/** By its coupling where both state one, else by its shank. */
function extension(carrier: Carrier, part: Part): Judgement[] {
  const why = 'What carries an extension must hold it as it would hold a cutter.';
  if (part.CCMS !== null && carrier.CCWS !== null) {
    const same = sameTaper(part.CCMS, carrier.CCWS);
    const values: Value[] = [
      ['front', carrier.CCWS, carrier.code],
      ['spindle side', part.CCMS, part.code],
    ];
    const grade = same === null ? 'not judged' : same ? 'good' : 'stop';
    const words = {
      good: `${part.code} goes onto ${carrier.code}`,
      stop: `${part.code}, ${part.CCMS}, does not go onto ${carrier.code}: ${carrier.CCWS}`,
      'not judged': `Whether ${part.code} goes onto ${carrier.code}: not judged`,
    }[grade];
    return [say('EXTENSION_FITS', grade, words, why, values)];
  }
  const values: Value[] = [
    ['shank', orUnknown(part.DMM), part.code],
    ['takes', range(carrier), carrier.by],
  ];
  const fits: Judgement =
    part.DMM === null
      ? say(
          'EXTENSION_FITS',
          'not judged',
          `Whether ${part.code} goes into ${carrier.by}: not judged`,
          why,
          values,
        )
      : say('EXTENSION_FITS', ...shankGoes(part.code, part.DMM, carrier), why, values);
  const out = addsLength(part);
  if (part.OAL === null || out === null || carrier.GRIP_MIN === null) return [fits];
  const gripped = part.OAL - out;
  const enough = gripped >= carrier.GRIP_MIN - 1e-9;
  return [
    fits,
    say(
      'EXTENSION_GRIP',
      enough ? 'good' : 'stop',
      enough
        ? `${mm(gripped)} of ${part.code} gripped`
        : `${part.code} stands out too far: ${mm(carrier.GRIP_MIN - gripped)} short of the least grip`,
      why,
      [
        ['OAL', mm(part.OAL), part.code],
        ['out', mm(out), part.code],
        ['least grip', mm(carrier.GRIP_MIN), carrier.by],
      ],
      'OAL − out ≥ least grip',
    ),
  ];
}

/** Shown beside: which collet is in a build of before nobody wrote down. */
const colletMissing = ({ carrier }: Held): Judgement[] =>
  carrier.asksCollet === null
    ? []
    : [
        aside(
          say(
            'COLLET',
            'not judged',
            `Which collet is in ${carrier.code} is not recorded`,
            'A collet of the nearest size down grips best; a worn one lets the cutter go.',
            [['takes collets', carrier.asksCollet, carrier.code]],
          ),
        ),
      ];

/** A length that leaves out an extension is no length to expect. */
const lengthKnown = ({ lengthUnknown }: Held): Judgement[] =>
  lengthUnknown.map((code) =>
    say(
      'LENGTH_KNOWN',
      'not judged',
      `How far ${code} stands out is not known`,
      'The expected gauge length counts every part; this one is counted as nothing.',
      [['LPR', 'not known', code]],
    ),
  );

/** Only a 7:24 taper is pulled in by a stud; others by thread or claws. */
function pullStud(parts: readonly Part[], holder: HolderDetails): Judgement[] {
  const stud = parts.find((p) => p.kind === 'pull-stud');
  const taper = holder.CCMS === null ? null : readTaper(holder.CCMS);
  const why =
    'The stud of another standard or size drops the tool: of this machine’s form, to its torque, looked at and changed by age.';
  const values: Value[] = [
    ['spindle side', holder.CCMS ?? 'not known', holder.code],
    ['pull stud', stud ? (stud.CCMS ?? 'not known') : 'not recorded', stud?.code],
    ...(stud ? [['torque', orUnknown(stud.TORQUE, (n) => `${n} N m`), stud.code] satisfies Value] : []),
  ];
  if (!stud)
    return taper?.cone === '7:24'
      ? [aside(say('PULL_STUD', 'not judged', 'Which pull stud is in it is not recorded', why, values))]
      : [];
  if (taper && taper.cone !== '7:24')
    return [
      say('PULL_STUD', 'stop', `${holder.CCMS} takes no pull stud; ${stud.code} is in it`, why, values),
    ];
  const same = holder.CCMS === null || stud.CCMS === null ? null : sameTaper(holder.CCMS, stud.CCMS);
  if (same === false)
    return [
      say('PULL_STUD', 'stop', `${stud.code} is for ${stud.CCMS}, not for ${holder.CCMS}`, why, values),
    ];
  return same === null
    ? [
        aside(
          say('PULL_STUD', 'not judged', `Whether ${stud.code} is for this taper: not judged`, why, values),
        ),
      ]
    : [say('PULL_STUD', 'good', `${stud.code} is for this taper`, why, values)];
}

/** Of a cutter with bores: whether coolant gets to them. It cuts without; so this is shown beside. */
function coolant(
  held: Held,
  parts: readonly Part[],
  { cutter, holder }: { cutter: CutterDetails; holder: HolderDetails },
): Judgement[] {
  if (cutter.CSP !== true) return [];
  const stud = parts.find((p) => p.kind === 'pull-stud');
  const way: [name: string, code: string, through: boolean | null][] = [
    ...(stud ? [['pull stud', stud.code, stud.CSP] satisfies [string, string, boolean | null]] : []),
    ['holder', holder.code, holder.CSP],
    ...held.links.map(({ part }): [string, string, boolean | null] => [part.kind, part.code, part.CSP]),
    ...(held.carrier.asksCollet !== null
      ? [['collet', 'not recorded', null] satisfies [string, string, boolean | null]]
      : []),
  ];
  const values = way.map(([name, code, through]): Value => [
    name,
    through === null ? 'not known' : through ? 'coolant through' : 'none through',
    code,
  ]);
  const why = 'Coolant reaches the edge only if each part lets it through and the collet is sealed.';
  const stopped = way.find(([, , through]) => through === false);
  const unknown = way.filter(([, , through]) => through === null).map(([, code]) => code);
  if (stopped)
    return [
      aside(
        say(
          'COOLANT',
          'question',
          `No coolant through ${stopped[1]}: it does not reach the edge`,
          why,
          values,
        ),
      ),
    ];
  return unknown.length
    ? [
        aside(
          say(
            'COOLANT',
            'not judged',
            `Coolant to the edge: of ${unknown.join(', ')} not known`,
            why,
            values,
          ),
        ),
      ]
    : [say('COOLANT', 'good', 'Coolant goes through to the edge', why, values)];
}

/** Advice, and no more: a collet holds a roughing cutter till it does not. */
function heavyCuts(held: Held, cutter: CutterGeometry, details: CutterDetails): Judgement[] {
  const { CLAMPING, code } = held.carrier;
  if (CLAMPING === null || isSeated(details.SHANK) || familySpec(cutter.family).axial) return [];
  const poor = CLAMPING === 'collet' || CLAMPING === 'drill chuck' || CLAMPING === 'tap chuck';
  const heavy =
    cutter.family === 'roughing' || cutter.family === 'high-feed' || cutter.DC >= DEFAULTS.heavyFromMm;
  if (!poor || !heavy) return [];
  return [
    aside(
      say(
        'CLAMPING',
        'question',
        `${CLAMPING} for a cutter that may rough: side-lock, shrink, hydraulic or milling chuck hold heavy side load`,
        'A collet holds side load poorly, and worse when worn: the cutter is pulled out or slips in.',
        [
          ['clamps by', CLAMPING, code],
          ['DC', mm(cutter.DC)],
        ],
        `roughing, or DC ≥ ${DEFAULTS.heavyFromMm} mm`,
      ),
    ),
  ];
}
