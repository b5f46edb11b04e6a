import type { Act } from '../act';
import { signIn, signInByCode, signInToDemo } from './begin';
import { endAllOf, giveBadge, giveCode, giveKey, shareScreen, stopKey } from './give';
import { handBack, takeHand } from './hand';
import { endSession, setPassword, setPin, signOut } from './own';

/** Everything around signing that is posted to the API. */
export const SIGNING_ACTS: readonly Act[] = [
  signIn,
  signInToDemo,
  signInByCode,
  signOut,
  takeHand,
  handBack,
  setPassword,
  setPin,
  endSession,
  giveCode,
  giveBadge,
  endAllOf,
  shareScreen,
  giveKey,
  stopKey,
];
