import type { Figure } from '../because';
import { DEFAULTS } from '../defaults';
import { deflection } from './deflection';
import type { Build } from './judgeBuild';
import { permissibleUnbalance } from './permissibleUnbalance';
import { rpmLimit } from './rpmLimit';
import { type Weight, weightOf } from './weight';

export interface BuildFigures {
  /** kg. */
  weight: Weight;
  /** The lowest limit of its parts, rev/min, and which; null: none states one. Unknown ones are named in the reason. */
  rpm: Figure<number | null>;
  /** Permissible unbalance at that speed, g mm; null where no speed is known. At least, where the weight is. */
  unbalance: Figure<number | null>;
  /** Side deflection at the tip, mm, under a side force of `force` N. */
  tip: Figure<number | null>;
  force: number;
  /** Its stiffness as a share of that of the same cutter at 3 x D. */
  stiffness: number | null;
}

/**
 * What follows from a build's parts: weight, rpm limit, permissible unbalance at it, and how far the tip gives way under a
 * side force of `force` N. Sources stand at the functions that reckon them.
 * Example: 1 kg and a lowest limit of 20,000: 1.19 g mm.
 */
export function buildFigures(
  build: Build & Required<Pick<Build, 'parts' | 'details'>>,
  force: number = DEFAULTS.sideForceN,
): BuildFigures {
  const { cutter, holder, stickout, parts, details } = build;
  const weight = weightOf({ cutter, holder, stickout, parts, details });
  const { lowest, unknown } = rpmLimit(holder, parts, details);
  const { tip, stiffness } = deflection(cutter, details.cutter, parts, stickout, force);
  const G = DEFAULTS.balanceG;
  return {
    weight,
    rpm: {
      value: lowest?.rpm ?? null,
      assumed: [],
      because: {
        words: [
          lowest ? `The lowest of its parts: ${lowest.of}` : 'No part states a limit',
          ...(unknown.length ? [`of ${unknown.join(', ')} not known`] : []),
        ].join('; '),
        formula: 'never above the lowest limit of machine, holder, parts, body and balance',
        values: [],
      },
    },
    unbalance: {
      value: lowest ? permissibleUnbalance(weight.value, lowest.rpm, G) : null,
      assumed: [],
      because: {
        words: `ISO 21940-11 at G ${G} and the lowest limit; a lower speed permits more. Very small figures are below what a spindle repeats.`,
        formula: 'U = 9549 G m / n',
        values: [
          { name: 'm', value: `${weight.atLeast ? 'at least ' : ''}${weight.value.toFixed(2)} kg` },
          { name: 'n', value: lowest ? `${lowest.rpm} rev/min` : 'not known' },
        ],
      },
    },
    tip,
    force,
    stiffness,
  };
}
