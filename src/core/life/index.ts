// Endings and what they count as
export { endingChoices, ENDINGS, ENDING_NAMES } from './endings';
// What a life is counted in
export { amountWords, MEASURE_NAMES, measureOf, MEASURES } from './measures';
export type { Measure } from './measures';
export { HOLE_SIGNS, SIGN_NAMES, SIGN_WORDS, SIGNS } from './signs';
export type { Sign, SignName } from './signs';
export type { Ending, LifeTime } from './endings';
export { coatingNow, DEFAULT_LADDER, rungsFor } from './grades';
export type { Rung } from './grades';
// Survival
export { kaplanMeier } from './survival/kaplanMeier';
export type { SurvivalStep } from './survival/kaplanMeier';
export { medianLife } from './survival/medianLife';
export type { Median } from './survival/medianLife';
export { meanReached } from './survival/meanReached';
export { medianInterval, survivalBand } from './survival/band';
export type { Band } from './survival/band';
export {
  fitWeibull,
  quantileInterval,
  quantileSe,
  shapeInterval,
  weibullMean,
  weibullQuantile,
  weibullSurvival,
} from './survival/weibull';
export type { NoFit, OpenInterval, Weibull, WeibullFit } from './survival/weibull';
export { agesBy, surveyLives } from './survival/surveyLives';
export type { Ages, LivesSurveyed } from './survival/surveyLives';
// Whether two last alike
export { logRank, stratifiedLogRank } from './compare/logRank';
export type { LogRank } from './compare/logRank';
export { cheapestAt, livesBySpeed, speedGroups } from './compare/bySpeed';
export type { CheapestSpeed, LifeAtSpeed, LivesBySpeed, SpeedGroup, SpeedLaw } from './compare/bySpeed';
export { keptApart } from './compare/keptApart';
export { livesByKind } from './compare/livesByKind';
export type { KindOfLives, LivesByKind } from './compare/livesByKind';
export type { KeptApart, LifeIn } from './compare/keptApart';
export { speedsApart } from './compare/speedsApart';
export type { SpeedsApart } from './compare/speedsApart';
export { goesAfter, judgeTrial, nextInTrial, timesTold, TRIED, turnWords } from './compare/trial';
export type { Side, TrialJudgement, TrialTold, Tried } from './compare/trial';
export { changeCosts } from './change/changeCosts';
export type { CostsSaid, LossesSeen } from './change/changeCosts';
export { costOfWay, whichPays } from './change/whichPays';
export type { PartCost, Way, WhichPays } from './change/whichPays';
export { compareLives } from './compare/compareLives';
export type { Likely, LivesCompared } from './compare/compareLives';
// When to change
export { ageReplacement, costRate, minutesReached } from './change/ageReplacement';
export type { ChangeCosts } from './change/ageReplacement';
export { minutesUntilChange } from './change/minutesUntilChange';
export { whenToChange } from './change/whenToChange';
export { lastsOn, MOST_UNWATCHED_PARTS, unwatchedRun } from './change/unwatched';
export type { Sister, UnwatchedChance, UnwatchedRun, UnwatchedTool } from './change/unwatched';
export type { WhenToChange } from './change/whenToChange';
export { cheapestSpeed, costOfPart, fitTaylor, lifeAt, lifeFactor, speedFor } from './change/taylor';
export type { CutCosts, Taylor, TaylorFit } from './change/taylor';
// Wear
export { wearCrossing } from './wear/wearCrossing';
export type { Interval, WearCrossing, WearPoint } from './wear/wearCrossing';
export { landInPicture, LEAST_DOTS } from './wear/landInPicture';
export type { Dot, LandInPicture } from './wear/landInPicture';
// What to expect of the next one, and of this one
export { consumption, expectLife, assumedCounts } from './expect/expectLife';
export {
  assumedTogether,
  isElsewhere,
  livesAtSpeed,
  livesTakenTo,
  statedAtSpeed,
  usualExponent,
} from './expect/atSpeed';
export type { Exponent, LifeBySpeeds } from './expect/atSpeed';
export type { AssumedLife, Consumption, LifeExpectation } from './expect/expectLife';
export { assumedFromLike } from './expect/likeMaterials';
export type { LivesElsewhere } from './expect/likeMaterials';
export { assumedFromOthers, isLike } from './expect/otherLives';
export type { CutterKind, OtherLives, Weight } from './expect/otherLives';
export { assumedWeight, nextLife } from './expect/nextLife';
export type { AssumedAgainstSeen, NextLife } from './expect/nextLife';
export { cameOut, foretoldHeld, OUTCOMES, SHARES_FORETOLD } from './expect/foretold';
export type { Foretold, ForetoldHeld, Outcome } from './expect/foretold';
// Bodies of inserts
export { bodyLife, screwsDue } from './bodyLife';
export type { BodyLife, BodySoFar } from './bodyLife';
export { lifeUsed } from './lifeUsed';
export type { UseInMaterial } from './lifeUsed';
export { isPastUsual, lifeState } from './lifeState';
export type { LifeState } from './lifeState';
export { cornerLimit, strictestHere, wearLimit } from './wear/wearLimit';
export type { WornHere } from './wear/wearLimit';
export { gaugeOfSize, sizeOutlook } from './wear/sizeOutlook';
export type { HoleSize, HoleWithin, SizeOutlook } from './wear/sizeOutlook';
export { askedOfTheRest, isWorn, NOT_READ, wearOutlook } from './wear/wearOutlook';
export type { WearOutlook } from './wear/wearOutlook';
export { CHIPS, CHIPS_NAMES, GAUGE, GAUGE_NAMES, STRENGTH_NAMES, STRENGTHS } from './wear/wearReading';
export type { Chips, Gauge, SignSeen, Strength, WearReading } from './wear/wearReading';
export { isFitted, whyApart } from './whyApart';
