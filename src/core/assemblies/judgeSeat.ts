import { type Grade, type Judgement, mm, orUnknown, say } from '../because';
import { DEFAULTS } from '../defaults';
import type { holdsAs } from './holdsAs';
import type { CutterDetails } from './parts';

/**
 * Judges what is screwed in or sits on an arbor, which nobody sets: does it go on, and does the stickout that was entered
 * agree with how far it stands out. A shell mill's bore is its arbor's pilot (ISO 6462: 16, 22, 27, 32, 40, 50, 60 mm,
 * from memory); a screwed-in head has the thread of its holder. mm.
 * Example: a bore of 22 on a pilot of 27: stop.
 */
export function judgeSeat(
  held: ReturnType<typeof holdsAs>,
  cutter: CutterDetails,
  stickout: number,
): Judgement[] {
  const { carrier } = held;
  return [
    ...(cutter.SHANK === 'arbor bore'
      ? [onArbor(carrier, cutter), ...ofForm(carrier, cutter)]
      : [screwedIn(carrier, cutter)]),
    standsOut(cutter, stickout),
  ];
}

function onArbor(carrier: ReturnType<typeof holdsAs>['carrier'], { DCB }: CutterDetails): Judgement {
  const pilot = carrier.CLAMP_MAX;
  const judge = (grade: Grade, words: string) =>
    say(
      'BORE_FITS',
      grade,
      words,
      'A body sits on its arbor’s pilot without play and is driven by its tenons; its screw only holds it on.',
      [
        ['bore', orUnknown(DCB)],
        ['pilot', orUnknown(pilot), carrier.code],
      ],
      'bore = pilot',
    );
  if (DCB === null || pilot === null)
    return judge('not judged', 'Whether the body goes on the arbor: not judged');
  return Math.abs(DCB - pilot) <= DEFAULTS.boreOffMm
    ? judge('good', `Its bore of ${mm(DCB)} goes on ${carrier.code}`)
    : judge('stop', `Its bore is ${mm(DCB)}; the pilot of ${carrier.code} is ${mm(pilot)}`);
}

/**
 * Whether the arbor takes the form of its seat: ISO 6462 has A (a screw through it), B (a retaining screw over its bore) and C (four
 * screws into the spindle's face, on a centring plug), from memory. Nothing where neither states one.
 */
function ofForm(
  carrier: ReturnType<typeof holdsAs>['carrier'],
  { MOUNT = null }: CutterDetails,
): Judgement[] {
  const takes = carrier.MOUNTS ?? null;
  if (MOUNT === null && takes === null) return [];
  const judge = (grade: Grade, words: string) => [
    say(
      'SEAT_FORM',
      grade,
      words,
      'Each form is screwed on otherwise: with the screw of another it is not held, or does not go on.',
      [
        ['form of its seat', MOUNT ?? 'not known'],
        ['the arbor takes', takes ?? 'not known', carrier.code],
      ],
    ),
  ];
  if (MOUNT === null || takes === null)
    return judge('not judged', 'Whether the arbor takes its form of seat: not judged');
  const forms: readonly string[] = takes.toUpperCase().match(/\b[ABC]\b/g) ?? [];
  return forms.includes(MOUNT.toUpperCase())
    ? judge('good', `${carrier.code} takes form ${MOUNT}`)
    : judge('stop', `Its seat is of form ${MOUNT}; ${carrier.code} takes ${takes}`);
}

function screwedIn(carrier: ReturnType<typeof holdsAs>['carrier'], { CCMS }: CutterDetails): Judgement {
  const plain = (words: string) => words.trim().toUpperCase().replace(/\s+/g, ' ');
  const judge = (grade: Grade, words: string) =>
    say('THREAD_FITS', grade, words, 'A head holds by its own thread and face only.', [
      ['head', CCMS ?? 'not known'],
      ['front', carrier.CCWS ?? 'not known', carrier.code],
    ]);
  if (CCMS === null || carrier.CCWS === null)
    return judge('not judged', 'Whether the head screws in: not judged');
  return plain(CCMS) === plain(carrier.CCWS)
    ? judge('good', `${CCMS} screws into ${carrier.code}`)
    : judge('stop', `${CCMS} does not screw into ${carrier.code}: ${carrier.CCWS}`);
}

function standsOut({ LPR }: CutterDetails, stickout: number): Judgement {
  const judge = (grade: Grade, words: string) =>
    say(
      'SEATED',
      grade,
      words,
      'How far it stands out is its own: another figure is another body, a chip under it, or a wrong entry.',
      [
        ['stickout', mm(stickout)],
        ['LPR', orUnknown(LPR)],
      ],
      'stickout = LPR',
    );
  if (LPR === null) return judge('not judged', 'How far it stands out when seated is not known');
  return Math.abs(stickout - LPR) <= DEFAULTS.measuredFromExpectedMm
    ? judge('good', 'It stands out as far as it should')
    : judge('stop', `Seated it stands out ${mm(LPR)}, not ${mm(stickout)}`);
}
