import { aside, type Judgement, mm, orUnknown, say } from '../../because';
import type { Use, UseBuild, UseState } from './facts';
import { inProgram } from './inProgram';

/**
 * How deep a T goes against what lies under the part: the stock's bottom and its parallels as the setup sheet states them,
 * Z of the program, mm. One wrong Z has put cutters through vises and tables. Nothing is said where the sheet states no zero.
 * Plane geometry. Example: stock to −30 on parallels of 5, feeding to −48: a stop, 13 mm into what carries it.
 */
export function judgeSink({ asks, here }: Pick<Use, 'asks' | 'here'>): Judgement[] {
  const lowest = asks.lowestFeedZ;
  if (!here.stock || lowest === null) return [];
  const { bottom, parallels } = here.stock;
  const below = bottom - lowest;
  const why = 'Below the stock are parallels, vise or table: what goes into them breaks, and they are scrap.';
  const values: [string, string, string][] = [
    ['lowest feeding Z', mm(lowest), inProgram(asks.lines?.lowestFeedZ)],
    ['bottom of the stock in Z', mm(bottom), 'setup sheet'],
    ['parallels under it', orUnknown(parallels), 'setup sheet'],
  ];
  const formula = 'lowest feeding Z ≥ bottom of the stock − parallels';
  if (below <= 1e-9)
    return [
      say(
        'SINK',
        asks.atLeast ? 'not judged' : 'good',
        `Stays ${mm(-below)} above the stock’s bottom${asks.atLeast ? ', as far as the program was read' : ''}`,
        why,
        values,
        formula,
      ),
    ];
  if (parallels === null)
    return [
      say('SINK', 'question', `Goes ${mm(below)} below the stock: what is under it?`, why, values, formula),
    ];
  if (below > parallels + 1e-9)
    return [
      say(
        'SINK',
        'stop',
        `Z ${mm(lowest)} goes ${mm(below - parallels)} into what carries the part`,
        why,
        values,
        formula,
      ),
    ];
  return [
    aside(
      say(
        'SINK',
        'question',
        `Goes ${mm(below)} below the stock: set the parallels out of its way`,
        why,
        values,
        formula,
      ),
    ),
  ];
}

/**
 * How far the spindle is above the end of Z for a tip at z, mm: h + z + L − K; below it is less than 0. Part zero h above the
 * datum surface, gauge length L, K from gauge line to datum surface with Z at home.
 */
export const aboveEnd = (h: number, z: number, L: number, K: number): number => h + z + L - K;

/**
 * Where the machine stands at the first Z after each change, against its travel: −travel ≤ h + z + L − K ≤ 0, mm; the sum in
 * which all schools of length agree. Nothing is said where part zero, K or a measured length is missing, or Z goes without H.
 * Source: rigid geometry of Z at home. Example: h 120, z 150, L 190, K 450: 10 above its end, a stop.
 */
export function judgeTravel(
  { asks, here, machine }: Pick<Use, 'asks' | 'here' | 'machine'>,
  { name, gaugeLength }: Pick<UseBuild & UseState, 'name' | 'gaugeLength'>,
): Judgement[] {
  const [h, K, L, travel] = [here.partZero, machine.k, gaugeLength, machine.travelZ ?? null];
  if (h == null || K == null || L == null) return [];
  const firsts = (asks.firstZ ?? []).filter((f) => f.h !== null);
  const at = (z: number) => aboveEnd(h, z, L, K);
  const worst = [...firsts].sort((a, b) => at(b.z) - at(a.z));
  const [highest, lowest] = [worst[0], worst.at(-1)];
  if (!highest || !lowest) return [];
  const why =
    'Past its end of travel the machine stops at the block; the tool stays where it was, and the next move starts from there.';
  const formula = '−travel ≤ h + z + L − K ≤ 0';
  const told = (f: { z: number; line: number }): [string, string, string][] => [
    ['first Z after the change', mm(f.z), inProgram(f.line)],
    ['part zero h', mm(h), 'operation'],
    ['gauge length L', mm(L), name],
    ['K', mm(K), machine.code],
    ['travel of Z', orUnknown(travel), machine.code],
  ];
  if (at(highest.z) > 1e-6)
    return [
      say(
        'TRAVEL',
        'stop',
        `First Z ${mm(highest.z)} is ${mm(at(highest.z))} above the end of Z`,
        why,
        told(highest),
        formula,
      ),
    ];
  if (travel === null) return [];
  if (at(lowest.z) < -travel - 1e-6)
    return [
      say(
        'TRAVEL',
        'stop',
        `First Z ${mm(lowest.z)} is ${mm(-travel - at(lowest.z))} below the end of Z`,
        why,
        told(lowest),
        formula,
      ),
    ];
  return [say('TRAVEL', 'good', 'First Z is inside the travel', why, told(highest), formula)];
}
