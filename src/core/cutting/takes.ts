import { type Figure, mm } from '../because';
import type { Chip } from './chip';
import { middle, type StartingMaterial } from './materials';
import { cuttingPower, specificForce, tangentialForce, torqueOf, unitPower } from './power';
import { figure, short, val, type Value } from './reckoned';

/** What is known of what is cut. `source`: where its figures come from, in words. */
export type CutMaterial = Pick<StartingMaterial, 'kc11' | 'mc' | 'unit'> & { source?: string | null };

/** What a cut takes. */
export interface Takes {
  /** kW at the cutter: Kienzle's, with the spread of what is known of the material, and by unit power. */
  power: Figure<number | null>;
  byUnit: Figure<number | null>;
  /** N m */
  torque: Figure<number | null>;
  /** N along the way of the edge, the mean. */
  force: Figure<number | null>;
}

/** Power by both schools, torque and force. */
export function takes(
  material: CutMaterial | null,
  Q: number | null,
  chip: Chip | null,
  n: number,
  vc: number,
  [qVal, nVal, vcVal]: [Value, Value, Value],
): Takes {
  const known = material && Q !== null && chip ? { material, Q, chip } : null;
  const power = known ? kienzle(known.material, known.Q, known.chip) : null;
  const unit = material?.unit && Q !== null ? unitPower(Q, middle(material.unit)) : null;
  const pVal = val('Pc', power === null ? 'not known' : `${short(power.value, 3)} kW`);
  const none = 'Cannot say: what is cut, or how thick its chip is, is not known.';
  return {
    power: power ?? figure(null, none, 'Pc = Q kc / 60,000,000, kc = kc1.1 h⁻ᵐᶜ', [qVal]),
    byUnit: figure(
      unit,
      unit === null
        ? 'Cannot say: no unit power is known for what is cut.'
        : 'The quicker school: it knows nothing of how thick the chip is, and the two differ at thin ones.',
      'Q × hp per in³/min',
      [
        qVal,
        ...(material?.unit ? [val('unit power', `${middle(material.unit)} hp per in³/min`, 'practice')] : []),
      ],
    ),
    torque: figure(
      power === null ? null : torqueOf(power.value, n),
      'At the spindle, as the cutter takes it.',
      'M = 9550 Pc / n',
      [pVal, nVal],
    ),
    force: figure(
      power === null ? null : tangentialForce(power.value, vc),
      'Mean along the way of the edge; while one tooth is thickest in the cut it is more.',
      'F = 60,000 Pc / Vc',
      [pVal, vcVal],
    ),
  };
}

function kienzle(material: CutMaterial, Q: number, chip: Chip): Figure {
  const [kc11, mc] = [middle(material.kc11), middle(material.mc)];
  const { kc, extrapolated } = specificForce(kc11, mc, chip.mean);
  const spread =
    material.kc11.least === material.kc11.most ? '' : `, ${material.kc11.least} to ${material.kc11.most}`;
  return figure(
    cuttingPower(Q, kc),
    `At the cutter with a sharp edge; a worn one takes about a third more.${
      extrapolated ? ' The chip is thinner than what kc1.1 was measured for: beyond what is known.' : ''
    }`,
    'Pc = Q kc / 60,000,000, kc = kc1.1 h⁻ᵐᶜ',
    [
      val('Q', `${short(Q / 1000, 2)} cm³/min`),
      val('kc1.1', `${short(kc11, 0)} N/mm²${spread}`, material.source ?? undefined),
      val('mc', short(mc, 3)),
      val('mean chip h', mm(chip.mean)),
      val('kc', `${short(kc, 0)} N/mm²`),
    ],
  );
}
