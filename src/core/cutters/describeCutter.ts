import { FAMILIES, type Substrate } from './families';
import type { CutterGeometry } from './geometry';

const short = (n: number) => String(Math.round(n * 1000) / 1000);

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
  const size = c.family === 'tap' && more.TDZ ? more.TDZ : (dcText ?? `${short(c.DC)} mm`);
  const hole = c.family === 'reamer' && more.TCHA ? ` ${more.TCHA}` : '';
  const radius = c.RE !== null && c.RE > 0 && c.family !== 'ball' ? ` R${short(c.RE)}` : '';
  const wide = c.CW !== null ? ` × ${short(c.CW)}` : '';
  const angle =
    c.SIG !== null
      ? ` ${short(c.SIG)}°`
      : c.TAPER !== null
        ? ` ${short(c.TAPER)}° a side`
        : c.KAPR !== null && c.KAPR !== 90
          ? ` ${short(c.KAPR)}°`
          : '';
  const flutes = c.NOF === null ? '' : `, ${c.NOF} flute${c.NOF === 1 ? '' : 's'}`;
  return `${size}${hole}${radius}${wide}${angle} ${FAMILIES[c.family].words}${flutes}${substrate ? `, ${substrate}` : ''}`;
}
