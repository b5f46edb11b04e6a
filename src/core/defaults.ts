/**
 * The limits Stable works with until a shop sets its own. Code and docs read them here.
 * Sources: 'practice' is common practice with no published source.
 */
export const DEFAULTS = {
  /** mm: a gauge length this far from gauge-to-face + stickout is in question (practice). */
  measuredFromExpectedMm: 0.5,
  /** mm: a gauge length this far from the last one of the same build is in question (practice). */
  measuredFromLastMm: 0.02,
  /** mm: how far a machine's own setter may be from the crib's measurement before somebody looks which is right (practice). */
  setterFromMeasuredMm: 0.05,
  /** mm: how well a holder's face is known, which the range of a build sheet is held against (practice). */
  faceKnownMm: 0.1,
  /** Days before a calibration is due from which it is said how many are left (practice). */
  calibrationSoonDays: 30,
  /** mm: what is left on a wall or floor from which a correction is asked about: is this wear? (practice) */
  correctionMm: 0.05,
  /** mm: what all corrections of one set of edges may leave in all, after its first part, before its wear is asked about (practice). */
  correctionsMm: 0.1,
  /** mm: what a measurement of a part is not sure of (practice). */
  measuringNoiseMm: 0.005,
  /** Share of DC that a measured diameter may be off before it is in question: another cutter? At least and at most mm (practice). */
  diameterFromNominal: 0.02,
  diameterFromNominalMm: [0.02, 0.5],
  /** mm: a runout from which it is asked about (practice). */
  runoutMm: 0.02,
  /** Months after which a holder is looked over again, and its pull stud changed, where nobody said (practice). */
  holderLookMonths: 12,
  pullStudMonths: 36,
  /** mm: runout of a holder on a test bar from which it is asked about, where nobody said (practice). */
  holderRunoutMm: 0.01,
  /** Stickout over DC up to which a cut needs no holding back (practice). */
  ratioComfortable: 3,
  /** Stickout over DC past which one cuts lighter (practice). */
  ratioLighter: 4,
  /** Stickout over DC past which a damped or shrink holder is wanted (practice). */
  ratioFarPast: 5,
  /** mm: a cutter from this diameter on may rough so hard that a collet lets it go (practice). */
  heavyFromMm: 12,
  /** mm: a bore may be off its arbor's pilot by so much and still be of its size; fits are finer (practice). */
  boreOffMm: 0.05,
  /** mm: one figure of a cutter or holder may differ by so much from a build sheet's and still be the same (practice). */
  standsInMm: 0.02,
  /** K of a machine by three tools (practice): mm between the shortest and the longest at least. */
  kLengthsApartMm: 50,
  /** mm by which touches of one tool may differ, and by which presetter and machine may over 100 mm (practice). */
  kSpreadMm: 0.01,
  kScaleMm: 0.01,
  /** mm between an assembly and a wall beside it that is left free (practice). */
  wallClearanceMm: 0.5,
  /** mm: a reading of the master may be off by so much (practice). */
  zeroOffMm: 0.005,
  /** Readings that must agree, and within how many mm, before a length is taken from a device (practice). */
  readingsWanted: 2,
  readingsWithinMm: 0.005,
  /** N: a side force to reckon a deflection with until somebody states one (practice). */
  sideForceN: 100,
  /** Balance quality G, mm/s, that a permissible unbalance is reckoned for: ISO 21940-11's usual one for tools (practice). */
  balanceG: 2.5,
  /** mm between holder face and the highest thing beside the cut below which it is asked about (practice). */
  holderClearanceMm: 1,
  /** Sets of edges after which the screws of a body's seats are renewed, before they stretch or strip (practice). */
  screwsHoldSets: 10,
  /** Share of a life's expectation from which it is 'about to end' (practice). */
  lifeAboutToEnd: 0.8,
  /** Speeds of the spindle no further apart than this part are one, for lives: turned by hand a little up or down (practice). */
  speedsAlike: 0.05,
  /** The latest so many lives of a cutter in a material are reckoned with: older ones say how the shop worked then (practice). */
  livesReckoned: 100,
  /** So many lives an assumed life counts as, beside those that were seen (practice). */
  assumedCountsAs: 3,
  /** So many lives what is assumed from others of its family counts as: it is further off than a maker's figure (practice). */
  familyCountsAs: 1,
  /** Weibull shape of a cutter's lives until they say it, and the spread of its logarithm: two of three between 1.5 and 4.1 (practice). */
  shapeOfLives: 2.5,
  shapeOfLivesSpread: 0.5,
  /** Chance with which the interval for the next life is said. */
  nextLifeChance: 0.9,
  /** An assumed life counts as so many lives at least and at most, however well such figures did here. */
  assumedCountsBetween: [0.5, 15],
  /** Cutters whose assumed life is known to have been right or wrong from which its weight is learnt (practice). */
  assumedLearntFrom: 5,
  /** Lives from which their spread is said (practice). */
  failuresForSpread: 5,
  /** Standard deviation of lives over their mean until it is seen (practice; a Weibull shape of 2.5 has 0.43). */
  spreadOfLives: 0.43,
  /** Chance of lasting from which a stock is enough (practice). */
  enoughChance: 0.9,
  /** mm, uniform flank wear: ISO 8688-2 end milling, from memory. */
  flankWearMm: 0.3,
  /** mm, wear of the corner or at one spot: ISO 8688-2, from memory. */
  cornerWearMm: 0.5,
  /** Flank wear as a share of DC, for small cutters; the lesser of both counts (practice). */
  flankWearOfDiameter: 0.02,
  /**
   * How far a tap's feed may lie from its pitch, as a share: asked about from, and stopped from (practice: a holder that gives
   * a little bears the first, no tap the second).
   */
  tapFeedAsk: 0.005,
  tapFeedStop: 0.03,
  /** mm: a chip that is nowhere thicker rubs: about the rounding of a carbide's edge (practice). */
  thinChipMm: 0.01,
  /** Shares by which a program may be off a recipe before it is asked about: speed, feed, depth of a pass (practice: programmers round). */
  recipeSpeedOff: 0.05,
  recipeFeedOff: 0.1,
  recipeDepthOff: 0.05,
  /** mm: the two radii of an arc may differ by so much. */
  arcRadiusMm: 0.002,
} as const;
