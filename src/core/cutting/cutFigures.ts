import { type CutterDetails, deflection } from '../assemblies';
import { type Figure, mm } from '../because';
import { type CutterGeometry, effectiveDiameter, familySpec, rampLength, ridgeHeight } from '../cutters';
import { centreFeed, type Chip, chipOf, feedForChip, inCorner } from './chip';
import { type Bind, bindsOf, type CutLimits } from './binds';
import { figure, short, val } from './reckoned';
import { type CutMaterial, type Takes, takes } from './takes';
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
  material: CutMaterial | null;
  limits: CutLimits;
  /** What bends: null where nobody says how it is held. */
  build: { details: CutterDetails; stickout: number } | null;
  /** Deflection at the tip that the part stands; null: not stated. */
  tolerance: number | null;
  /** Radius of an inside corner of the wall, and diameter of a bore it goes round in; null: there is none. */
  corner: number | null;
  bore: number | null;
  /** Degrees at which it goes down to its depth; left out or null: it comes from beside the work. */
  ramp?: number | null;
  /** mm3 that are cut away of a part; left out or null: not said. */
  volume?: number | null;
  /** It cuts at its centre; left out or null: not known. */
  centreCutting?: boolean | null;
}

export interface CutFigures extends Takes {
  /** Diameter that cuts at the depth. */
  D: Figure;
  n: Figure;
  vc: Figure;
  fz: Figure<number | null>;
  vf: Figure<number | null>;
  /** mm3/min */
  Q: Figure<number | null>;
  minutesALitre: Figure<number | null>;
  /** Minutes in the cut for what is cut away of a part. */
  minutesAPart: Figure<number | null>;
  /** null: the width is not one of this cutter, or its teeth are not counted. */
  chip: Figure<Chip | null>;
  deflection: Figure<number | null>;
  /** Ridge between passes ae apart. */
  ridge: Figure<number | null>;
  /** Share of the flute that wears. */
  flute: Figure<number | null>;
  /** Inside the corner: the arc there, and the feed that keeps the chip. */
  corner: Figure<{ arc: number; vf: number } | null>;
  centre: Figure<number | null>;
  /** Way along the ramp down to the depth. */
  way: Figure<number | null>;
  /** What it comes closest to, or is over, first. */
  binds: Bind[];
}

/**
 * What a cut comes to: the rest of its speeds and feeds, its chip, what it takes, what gives way, and which limit it comes
 * to first. What is not known is null and says of what; nothing is taken for granted but what `assumed` names. Shop
 * formulas and the conventions of chip.ts and power.ts. Example: D 10 with 4 teeth, Vc 120, fz 0.05, ap 10, ae 2.5 ->
 * n 3820, Vf 764, Q 19.1 cm3/min.
 */
export function cutFigures(asked: CutAsked): CutFigures {
  const { cutter, ap, ae, limits } = asked;
  const teeth = cutter.NOF;
  const [ramp, volume] = [asked.ramp ?? null, asked.volume ?? null];
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
  const taken = takes(asked.material, Q, chip, n, vc, [qVal, nVal, vcVal]);
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
    minutesAPart: figure(
      Q && volume !== null ? volume / Q : null,
      volume === null
        ? 'What is cut away of a part is not said.'
        : 'In the cut alone: the ways between the cuts come on top.',
      'V / Q',
      [val('V', volume === null ? 'not said' : `${short(volume / 1000, 2)} cm³`), qVal],
    ),
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
    way: figure(
      ramp === null || ramp >= 90 ? null : rampLength(ap, ramp),
      ramp === null
        ? 'It does not go down a ramp.'
        : ramp >= 90
          ? 'Straight down is no ramp.'
          : 'Along the floor, until it stands at its depth; the slot it leaves there is as wide as the cutter.',
      'ap / tan α',
      [apVal, val('α', ramp === null ? 'none' : `${short(ramp, 2)}°`)],
    ),
    binds: bindsOf(
      {
        ...{ cutter, n, vf, chip, ramp },
        centreCutting: asked.centreCutting ?? null,
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
