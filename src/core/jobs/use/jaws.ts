import { aside, type Judgement, mm, say } from '../../because';
import type { CutterGeometry } from '../../cutters';
import type { Use } from './facts';
import { inProgram } from './inProgram';

/** What only touches the stock's side does not reach beyond it, mm. */
const TOUCHES = 1e-6;

/**
 * A T against the jaws of the vise that holds the stock in Y: what reaches beyond the stock, where the jaws are, must not feed
 * lower than they stand. That it does both is a question and no stop: it may be low in one place and beyond in another. The
 * cutter counts with half its diameter; where none is tied only the middle of the path does. Nothing is said where the sheet
 * names no vise, or not where the stock lies in it. Plane geometry. Example: stock to Y 60, jaws to Z −12, a 16 mm mill whose
 * middle goes to Y 68 and that feeds to Z −24: 16 beyond the stock and 12 below the jaws.
 */
export function judgeJaws(
  { asks, here }: Pick<Use, 'asks' | 'here'>,
  cutter: Pick<CutterGeometry, 'DC' | 'DCX'> | null,
): Judgement[] {
  const { jaws } = here;
  const lowest = asks.lowestFeedZ;
  if (!jaws || !asks.reachY || lowest === null) return [];
  const radius = cutter ? Math.max(cutter.DC, cutter.DCX ?? 0) / 2 : 0;
  const beyond = Math.max(
    jaws.stock.least - (asks.reachY.least - radius),
    asks.reachY.most + radius - jaws.stock.most,
  );
  // Between the jaws there is only the stock.
  if (beyond <= TOUCHES) return [];
  const why = 'The jaws stand at both sides of the stock: what goes beyond it must stay above them.';
  const formula = 'beyond the stock in Y: lowest feeding Z ≥ top of the jaws';
  const values: [string, string, string][] = [
    ['beyond the stock in Y', mm(beyond), 'program'],
    ['lowest feeding Z', mm(lowest), inProgram(asks.lines?.lowestFeedZ)],
    ['top of the jaws in Z', jaws.top === null ? 'not known' : mm(jaws.top), jaws.vise],
  ];
  if (jaws.top === null)
    return [
      aside(
        say(
          'JAWS',
          'not judged',
          `Goes ${mm(beyond)} beyond the stock: how high its jaws stand is not known`,
          why,
          values,
          formula,
        ),
      ),
    ];
  const below = jaws.top - lowest;
  if (below <= TOUCHES)
    return [
      say(
        'JAWS',
        asks.atLeast ? 'not judged' : 'good',
        `Stays ${mm(-below)} above the jaws of ${jaws.vise}${asks.atLeast ? ', as far as the program was read' : ''}`,
        why,
        values,
        formula,
      ),
    ];
  return [
    say(
      'JAWS',
      'question',
      `Goes ${mm(beyond)} beyond the stock, and ${mm(below)} below the jaws of ${jaws.vise}: at one place?`,
      why,
      values,
      formula,
    ),
  ];
}
