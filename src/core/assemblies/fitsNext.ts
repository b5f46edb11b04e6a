import { type Judgement, mm, say, worstGrade } from '../because';
import type { CutterGeometry } from '../cutters';
import type { holdsAs } from './holdsAs';
import { judgePart } from './judgeParts';
import type { HolderDetails, Part } from './parts';

/**
 * Whether a part goes next onto what is put together so far, and what it then grips takes the cutter's shank: the worst
 * of the judgements, with its words. A collet that does not close on the shank does not fit, though it goes in.
 * Example: a collet 32 of 9 to 10 mm for a shank of 6: stop.
 */
export function fitsNext(
  held: ReturnType<typeof holdsAs>,
  part: Part,
  holder: HolderDetails,
  cutter: CutterGeometry | null,
): Judgement {
  const all = [...judgePart(held, part, holder), ...closesOn(part, cutter)];
  const worst = worstGrade(all);
  return (
    all.find((j) => j.grade === worst) ??
    say('FITS', 'not judged', `Whether ${part.code} fits: not judged`, 'Nothing is known to judge it by.')
  );
}

function closesOn(part: Part, cutter: CutterGeometry | null): Judgement[] {
  const d = cutter?.DMM ?? null;
  if (part.kind !== 'collet' || d === null || part.CLAMP_MIN === null || part.CLAMP_MAX === null) return [];
  const does = d <= part.CLAMP_MAX + 1e-9 && d >= part.CLAMP_MIN - 0.05;
  return [
    say(
      'SHANK_FITS',
      does ? 'good' : 'stop',
      does ? `${part.code} takes ${mm(d)}` : `${part.code} does not take ${mm(d)}`,
      'A collet takes shanks of its own range only.',
    ),
  ];
}
