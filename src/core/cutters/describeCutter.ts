import { familySpec, short } from './families';
import type { CutterFigures } from './figures';
import type { CutterGeometry } from './geometry';
import type { Substrate } from './symbols';

/** A size as most cutters are called by: diameter, corner radius, width, angle. */
function usualSize(c: CutterFigures, size: string): string {
  const radius = c.RE !== null && c.RE > 0 ? ` R${short(c.RE)}` : '';
  const wide = c.CW !== null ? ` × ${short(c.CW)}` : '';
  const angle =
    c.SIG !== null
      ? ` ${short(c.SIG)}°`
      : c.TAPER !== null
        ? ` ${short(c.TAPER)}° a side`
        : c.KAPR !== null && c.KAPR !== 90
          ? ` ${short(c.KAPR)}°`
          : '';
  return `${size}${radius}${wide}${angle}`;
}

/**
 * One line that names a cutter as people at the crib say it. Unknown facts are left out, not guessed.
 * `more` holds facts in words: the thread of a tap, the class of a reamer.
 * Example: '10 mm R0.5 corner-radius end mill, 4 flutes, carbide'.
 */
export function describeCutter(
  c: CutterGeometry,
  substrate: Substrate | null,
  dcText?: string,
  more: { TDZ?: string; TCHA?: string } = {},
): string {
  const spec = familySpec(c.family);
  const size = (spec.sizeWords ?? usualSize)(c, dcText ?? `${short(c.DC)} mm`, more);
  const flutes = c.NOF === null ? '' : `, ${c.NOF} flute${c.NOF === 1 ? '' : 's'}`;
  return `${size} ${spec.words}${flutes}${substrate ? `, ${substrate}` : ''}`;
}
