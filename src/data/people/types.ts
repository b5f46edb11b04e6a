import type { Role } from '@/core/people';

export interface SessionRow {
  id: number;
  person: string;
  device: string;
  begunAt: Date;
  usedAt: Date;
  shared: boolean;
  atHand: string | null;
  handUntil: Date | null;
}

export interface KeyRow {
  id: number;
  name: string;
  person: string;
  role: Role;
  /** null: all that the role may. */
  verbs: string[] | null;
  madeAt: Date;
  usedAt: Date | null;
  endedAt: Date | null;
}

/** Somebody who may sign in, and what they have to do it with. */
export interface SignerRow {
  initials: string;
  name: string;
  inUse: boolean;
  /** null: nobody has said what they are here for. */
  role: Role | null;
  hasPassword: boolean;
  hasPin: boolean;
  hasBadge: boolean;
  usedAt: Date | null;
}

export interface SecretRow {
  passwordHash: string | null;
  pinHash: string | null;
}
