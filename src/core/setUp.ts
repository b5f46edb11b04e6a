/** What a shop sets up once, in the order in which a new one is asked for it; each can be changed and go out of use. */
export const SET_UP_KINDS = ['person', 'place', 'machine', 'material', 'supplier'] as const;
export type SetUpKind = (typeof SET_UP_KINDS)[number];
