import { type Figure, type Judgement, mm, say } from '../because';
import { DEFAULTS } from '../defaults';

/** A tool that was measured both ways: on the presetter, and touched off in the machine, some times over; mm. */
export interface TouchedTool {
  /** Gauge length as the presetter has it. */
  L: number;
  /** Machine Z with its tip on the block, each time it was touched off. */
  readings: readonly number[];
}

export interface FoundK {
  /** mm; null: nothing was touched off yet. */
  K: Figure<number | null>;
  /** The largest difference between readings of one tool, mm; null: none was repeated. */
  spread: number | null;
  /** How much more the machine counts than the presetter over 100 mm, mm; null: fewer than three lengths. */
  scale: number | null;
  judgements: Judgement[];
}

/**
 * K of a machine from tools of different length that are measured both ways, with a block of thickness `block` on the datum
 * surface under the tip: K = L + block − reading, the mean over the tools. One tool can't tell a wrong K from a presetter that
 * is off; three of different length show by their slope when the two scales disagree, and repeating shows how well a tip is
 * felt. mm; limits are common practice (DEFAULTS). Example: L 142.316, block 10, reading −337.684: K 490.
 */
export function findK(block: number, tools: readonly TouchedTool[]): FoundK {
  const touched = tools.flatMap(({ L, readings }) =>
    readings.length ? [{ L, readings, at: mean(readings) }] : [],
  );
  const ks = touched.map(({ L, at }) => L + block - at);
  const K = ks.length ? mean(ks) : null;
  const repeated = touched.filter((t) => t.readings.length > 1);
  const spread = repeated.length
    ? Math.max(...repeated.map(({ readings }) => Math.max(...readings) - Math.min(...readings)))
    : null;
  const lengths = touched.map((t) => t.L);
  const range = lengths.length ? Math.max(...lengths) - Math.min(...lengths) : 0;
  const scale =
    touched.length < 3 || range < DEFAULTS.kLengthsApartMm
      ? null
      : 100 * slope(touched.map(({ L, at }) => [L, at - L]));
  return {
    K: {
      value: K,
      assumed: [],
      because: {
        words: 'Each tool gives a K; theirs is the mean.',
        formula: 'K = L + block − reading',
        values: touched.map(({ L, at, readings }, i) => ({
          name: `K of ${mm(L)}`,
          value: mm(ks[i] ?? 0),
          source: `${readings.length === 1 ? 'once' : `${readings.length} times`}, ${mm(at)}`,
        })),
      },
    },
    spread,
    scale,
    judgements: [
      enough(touched.length, repeated.length, range),
      ...(spread === null ? [] : [repeats(spread)]),
      ...(scale === null ? [] : [agrees(scale)]),
    ],
  };
}

function enough(tools: number, repeated: number, range: number): Judgement {
  const words =
    tools < 3
      ? `${tools} of three tools touched off`
      : range < DEFAULTS.kLengthsApartMm
        ? `The longest is only ${mm(range)} longer than the shortest`
        : repeated < tools
          ? `${tools - repeated} of them touched off once only`
          : 'Three or more tools, of different length, each repeated';
  return say(
    'K_ENOUGH',
    tools >= 3 && range >= DEFAULTS.kLengthsApartMm && repeated === tools ? 'good' : 'not judged',
    words,
    'One tool can’t tell a wrong K from a presetter that is off, and one touch not a chip under the block.',
    [['apart', mm(range)]],
    `3 tools, ${DEFAULTS.kLengthsApartMm} mm or more apart, each 2 times`,
  );
}

const repeats = (spread: number): Judgement =>
  say(
    'K_REPEATS',
    spread <= DEFAULTS.kSpreadMm + 1e-9 ? 'good' : 'question',
    spread <= DEFAULTS.kSpreadMm + 1e-9
      ? `Touches agree within ${mm(spread)}`
      : `Touches of one tool differ by ${mm(spread)}: block clean, same feel, spindle warm?`,
    'How well a tip is felt is how well K can be known.',
    [['largest difference', mm(spread)]],
    `≤ ${DEFAULTS.kSpreadMm} mm`,
  );

const agrees = (scale: number): Judgement => {
  const fine = Math.abs(scale) <= DEFAULTS.kScaleMm + 1e-9;
  return say(
    'K_SCALE',
    fine ? 'good' : 'question',
    fine
      ? `Presetter and machine agree within ${mm(Math.abs(scale))} over 100 mm`
      : `The machine counts ${mm(Math.abs(scale))} ${scale > 0 ? 'more' : 'less'} than the presetter over 100 mm: a tool measured wrong, or one of the two is off`,
    'A K holds for long and short tools alike only where both have the same millimetre.',
    [['over 100 mm', mm(scale)]],
    `≤ ${DEFAULTS.kScaleMm} mm over 100 mm`,
  );
};

const mean = (list: readonly number[]): number => list.reduce((sum, x) => sum + x, 0) / list.length;

/** The slope of a straight line through points by least squares. */
function slope(points: readonly (readonly [number, number])[]): number {
  const [mx, my] = [mean(points.map(([x]) => x)), mean(points.map(([, y]) => y))];
  const over = points.reduce((sum, [x, y]) => sum + (x - mx) * (y - my), 0);
  return over / points.reduce((sum, [x]) => sum + (x - mx) ** 2, 0);
}
