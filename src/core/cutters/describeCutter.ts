import { FAMILIES, type CutterGeometry, type Substrate } from './families';

const short = (n: number) => String(Math.round(n * 1000) / 1000);

/**
 * One line that names a cutter as people at the crib say it. Unknown facts are left out, not guessed.
 * Example: '10 mm R0.5 corner-radius end mill, 4 flutes, carbide'.
 */
export function describeCutter(c: CutterGeometry, substrate: Substrate | null, dcText?: string): string {
  const radius = c.RE !== null && c.RE > 0 && c.family !== 'ball' ? ` R${short(c.RE)}` : '';
  const angle = c.SIG !== null ? ` ${short(c.SIG)}°` : '';
  const flutes = c.NOF === null ? '' : `, ${c.NOF} flute${c.NOF === 1 ? '' : 's'}`;
  return `${dcText ?? `${short(c.DC)} mm`}${radius}${angle} ${FAMILIES[c.family].words}${flutes}${substrate ? `, ${substrate}` : ''}`;
}
