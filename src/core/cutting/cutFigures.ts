import { type CutterDetails, deflection } from '../assemblies';
import { type Because, type Figure, mm } from '../because';
import { type CutterGeometry, effectiveDiameter, familySpec, ridgeHeight } from '../cutters';
import { centreFeed, type Chip, chipOf, feedForChip, inCorner } from './chip';
import { type Bind, bindsOf, type CutLimits } from './binds';
import { middle, type StartingMaterial } from './materials';
import { cuttingPower, specificForce, tangentialForce, torqueOf, unitPower } from './power';
import { cuttingSpeed, feedPerTooth, tableFeed, turnsFor } from './speeds';

/** A cut as somebody thinks of it: two figures of speed and feed, the pass, what is cut, with what, on what. mm, minutes. */
export interface CutAsked {
  cutter: CutterGeometry;
  /** One of the two: m/min at the edge, or rev/min. */
  speed: { vc: number } | { n: number };
  /** One of the two: mm a tooth, or mm/min. */
  feed: { fz: number } | { vf: number };
  ap: number;
  ae: number;
  /** `source`: where its figures come from, in words. */
  material: (Pick<StartingMaterial, 'kc11' | 'mc' | 'unit'> & { source?: string | null }) | null;
  limits: CutLimits;
  /** What bends: null where nobody says how it is held. */
  build: { details: CutterDetails; stickout: number } | null;
  /** Deflection at the tip that the part stands; null: not stated. */
  tolerance: number | null;
  /** Radius of an inside corner of the wall, and diameter of a bore it goes round in; null: there is none. */
  corner: number | null;
  bore: number | null;
}

export interface CutFigures {
  /** Diameter that cuts at the depth. */
  D: Figure;
  n: Figure;
  vc: Figure;
  fz: Figure<number | null>;
  vf: Figure<number | null>;
  /** mm3/min */
  Q: Figure<number | null>;
  minutesALitre: Figure<number | null>;
  /** null: the width is not one of this cutter, or its teeth are not counted. */
  chip: Figure<Chip | null>;
  /** kW at the cutter: Kienzle's, with the spread of what is known of the material, and by unit power. */
  power: Figure<number | null>;
  byUnit: Figure<number | null>;
  torque: Figure<number | null>;
  force: Figure<number | null>;
  deflection: Figure<number | null>;
  /** Ridge between passes ae apart. */
  ridge: Figure<number | null>;
  /** Share of the flute that wears. */
  flute: Figure<number | null>;
  /** Inside the corner: the arc there, and the feed that keeps the chip. */
  corner: Figure<{ arc: number; vf: number } | null>;
  centre: Figure<number | null>;
  /** What it comes closest to, or is over, first. */
  binds: Bind[];
}

type Value = Because['values'][number];
const figure = <V>(
  value: V,
  words: string,
  formula: string,
  values: Value[],
  assumed: string[] = [],
): Figure<V> => ({
  value,
  because: { words, formula, values },
  assumed,
});
const val = (name: string, value: string, source?: string): Value => ({
  name,
  value,
  ...(source ? { source } : {}),
});
const short = (n: number, places: number) => String(Number(n.toFixed(places)));

/**
 * What a cut comes to: the rest of its speeds and feeds, its chip, what it takes, what gives way, and which limit it comes
 * to first. What is not known is null and says of what; nothing is taken for granted but what `assumed` names. Shop
 * formulas and the conventions of chip.ts and power.ts. Example: D 10 with 4 teeth, Vc 120, fz 0.05, ap 10, ae 2.5 ->
 * n 3820, Vf 764, Q 19.1 cm3/min.
 */
export function cutFigures(asked: CutAsked): CutFigures {
  const { cutter, ap, ae, limits } = asked;
  const teeth = cutter.NOF;
  const D = cutsOn(cutter, ap);
  const dVal = val('D', mm(D.value));
  const n = 'n' in asked.speed ? asked.speed.n : turnsFor(asked.speed.vc, D.value);
  const vc = 'vc' in asked.speed ? asked.speed.vc : cuttingSpeed(n, D.value);
  const fz = 'fz' in asked.feed ? asked.feed.fz : teeth ? feedPerTooth(asked.feed.vf, n, teeth) : null;
  const vf = 'vf' in asked.feed ? asked.feed.vf : teeth ? tableFeed(n, teeth, asked.feed.fz) : null;
  const [nVal, vcVal] = [val('n', `${short(n, 0)} rev/min`), val('Vc', `${short(vc, 1)} m/min`)];
  const teethVal = val('z', teeth === null ? 'not known' : String(teeth), 'NOF');
  const fzVal = val('fz', fz === null ? 'not known' : mm(fz));
  const vfVal = val('Vf', vf === null ? 'not known' : `${short(vf, 0)} mm/min`);
  // A width from the side is a mill's: of a drill, a reamer, a tap neither chip nor power is reckoned by it.
  const mills = familySpec(cutter.family).mills === true;
  const Q = vf === null || !mills ? null : ap * ae * vf;
  const qVal = val('Q', Q === null ? 'not known' : `${short(Q / 1000, 2)} cm³/min`);
  const [apVal, aeVal] = [val('ap', mm(ap)), val('ae', mm(ae))];
  const kapr = cutter.KAPR ?? 90;
  const chip = fz === null || !mills ? null : chipOf(cutter.DC, ae, fz, kapr);
  const chipFigure = figure(
    chip,
    chip === null
      ? mills
        ? 'Cannot say: the width must be above zero and at most DC, and the teeth counted.'
        : 'Cannot say: reckoned for what mills, and this cutter does not.'
      : chip.arc >= 90
        ? 'At half of DC and more it is fz sin KAPR: a feed is never raised for thin chips there.'
        : 'A narrow cut makes a chip thinner than its feed.',
    'h = 2 fz sin κ √((ae/D)(1 − ae/D))',
    [
      apVal,
      aeVal,
      val('DC', mm(cutter.DC)),
      fzVal,
      val('κ', `${kapr}°`, cutter.KAPR === null ? 'straight' : 'KAPR'),
    ],
  );
  const taken = takes(asked, Q, chip, n, vc, [qVal, nVal, vcVal]);
  const bent =
    asked.build && taken.force.value !== null
      ? deflection(cutter, asked.build.details, [], asked.build.stickout, taken.force.value, ap / 2).tip
      : figure(
          null,
          'Cannot say: neither how it is held nor the force is known.',
          'F Σ (xᵢ³ − xᵢ₋₁³) / 3 E I',
          [],
        );
  return {
    D,
    n: figure(n, 'Turns that give the speed on what cuts.', 'n = 1000 Vc / (π D)', [vcVal, dVal]),
    vc: figure(vc, 'Speed of what cuts.', 'Vc = π D n / 1000', [nVal, dVal]),
    fz: figure(fz, 'Way of the table while a tooth comes round.', 'fz = Vf / (n z)', [vfVal, nVal, teethVal]),
    vf: figure(vf, 'Way of the table a minute.', 'Vf = n z fz', [nVal, teethVal, fzVal]),
    Q: figure(Q, 'What is cut away.', 'Q = ap ae Vf', [apVal, aeVal, vfVal]),
    minutesALitre: figure(Q ? 1e6 / Q : null, 'Minutes in the cut for a litre of chips.', '1,000,000 / Q', [
      qVal,
    ]),
    chip: chipFigure,
    ...taken,
    deflection: bent,
    ridge: figure(
      ridgeHeight(cutter, ae),
      'Between passes ae apart on a flat floor. Plane geometry of circles.',
      'r − √(r² − (s/2)²), s = ae − (DC − 2 RE)',
      [aeVal, val('RE', cutter.RE === null ? 'not known' : mm(cutter.RE))],
    ),
    flute: figure(
      cutter.LCF ? Math.min(1, ap / cutter.LCF) : null,
      'A deep narrow cut wears the whole flute, a shallow wide one burns its end.',
      'ap / LCF',
      [apVal, val('LCF', cutter.LCF === null ? 'not known' : mm(cutter.LCF))],
    ),
    corner: inside(asked, vf, chip, kapr),
    centre: figure(
      asked.bore === null || vf === null ? null : centreFeed(vf, cutter.DC, asked.bore),
      'Inside a bore the edge goes further than the centre, whose feed is programmed.',
      'Vf (Db − D) / Db',
      [vfVal, val('Db', asked.bore === null ? 'none' : mm(asked.bore))],
    ),
    binds: bindsOf(
      {
        cutter,
        n,
        vf,
        chip,
        ...{ power: taken.power.value, torque: taken.torque.value, deflection: bent.value },
      },
      limits,
      asked.tolerance,
    ),
  };
}

/** The diameter that cuts at a depth: less than DC on a ball, a corner or a taper. */
function cutsOn(cutter: CutterGeometry, ap: number): Figure {
  const D = familySpec(cutter.family).mills ? effectiveDiameter(cutter, ap) : cutter.DC;
  return figure(
    D ?? cutter.DC,
    D === null
      ? 'How its end is shaped is not known: reckoned with DC.'
      : D < cutter.DC
        ? 'At this depth it cuts on less than DC.'
        : 'It cuts on DC.',
    'plane geometry of circles',
    [
      val('DC', mm(cutter.DC)),
      val('ap', mm(ap)),
      val('RE', cutter.RE === null ? 'not known' : mm(cutter.RE)),
    ],
    D === null ? ['RE'] : [],
  );
}

/** Power by both schools, torque and force. */
function takes(
  { material }: CutAsked,
  Q: number | null,
  chip: Chip | null,
  n: number,
  vc: number,
  [qVal, nVal, vcVal]: [Value, Value, Value],
): Pick<CutFigures, 'power' | 'byUnit' | 'torque' | 'force'> {
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

function kienzle(material: NonNullable<CutAsked['material']>, Q: number, chip: Chip): Figure {
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

/**
 * In an inside corner a cutter stands in more than on the wall, and its edge goes further round than its centre, whose feed
 * is programmed: the feed that keeps the chip as thick as on the wall.
 */
function inside(
  { cutter, ae, corner }: CutAsked,
  vf: number | null,
  chip: Chip | null,
  kapr: number,
): CutFigures['corner'] {
  const met = corner === null ? null : inCorner(cutter.DC, ae, corner);
  const wall = chip && feedForChip(cutter.DC, ae, chip.max, kapr);
  const there = met && chip && feedForChip(cutter.DC, Math.min(met.width, cutter.DC), chip.max, kapr);
  const centre = corner === null || vf === null ? null : centreFeed(vf, cutter.DC, 2 * corner);
  return figure(
    met && wall && there && centre !== null ? { arc: met.arc, vf: (centre * there) / wall } : null,
    corner === null
      ? 'No inside corner is asked about.'
      : met
        ? 'A tooth cuts over a longer arc there, and the edge goes further than the centre: the programmed feed comes down by both.'
        : 'Cannot say: a cutter of this diameter does not go round in this corner; it stands in it by the whole of its quarter.',
    'cos φ = ((R − ae)² − e² − r²) / (2 e r), e = R − r; Vf × fz(φ) / fz × (R − r) / R',
    [
      val('R', corner === null ? 'none' : mm(corner)),
      val('r', mm(cutter.DC / 2)),
      val('ae', mm(ae)),
      val('arc there', met ? `${short(met.arc, 1)}°` : 'not known'),
    ],
  );
}
