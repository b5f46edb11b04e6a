/** What people are here for, from the one who says who may do what to the one who only looks. */
export const ROLES = {
  owner: { words: 'owner', does: 'everything, and says who may do what' },
  crib: { words: 'crib', does: 'keeps the crib: stock, builds, measuring, counting, buying, machines' },
  planner: { words: 'planner', does: 'plans jobs and programs, and what is bought for them' },
  operator: { words: 'operator', does: 'builds, measures, ties, logs parts and ends lives at the machine' },
  viewer: { words: 'viewer', does: 'looks, and writes nothing' },
} as const;
export type Role = keyof typeof ROLES;

/** Who may do something besides the owner, who may do all. An empty list is for the owner alone. */
export type May = readonly Exclude<Role, 'owner'>[];

/** Everybody who signed in. */
export const EVERYBODY = ['crib', 'planner', 'operator', 'viewer'] as const satisfies May;

/** Whether somebody of this role may; null: nobody has said what they are here for, so they may nothing. */
export const mayDo = (role: Role | null, may: May): boolean =>
  role === 'owner' || may.some((r) => r === role);

/** Who may, in words. Example: whoMay(['crib', 'operator']) -> 'owner, crib or operator'. */
export function whoMay(may: May): string {
  const last = may.at(-1);
  if (last === undefined) return ROLES.owner.words;
  return `${[ROLES.owner, ...may.slice(0, -1).map((r) => ROLES[r])].map((r) => r.words).join(', ')} or ${ROLES[last].words}`;
}

/** Whether somebody may enter what another did: both are recorded. */
export const mayActForAnother = (role: Role): boolean => mayDo(role, ['crib', 'planner']);

/**
 * How many hours back somebody may enter what happened: a shift is written down the next morning, a month's paper by
 * those who keep the books. null: as far back as there are books. (Common practice of period closing.)
 */
export const HOURS_BACK: Record<Role, number | null> = {
  owner: null,
  crib: 31 * 24,
  planner: 31 * 24,
  operator: 36,
  viewer: 0,
};

/** What may need a second person, where the shop wants one: each with the verbs that do it. */
export const SECOND_PERSON = {
  writeOff: { words: 'writing stock off', verbs: ['scrapStock', 'loseStock', 'bookCount'] },
  deviation: { words: 'accepting a deviation', verbs: ['judgeMeasurement'] },
  settlement: { words: 'settling what a supplier owns', verbs: ['settleTakings'] },
} as const;
export type SecondPerson = keyof typeof SECOND_PERSON;
