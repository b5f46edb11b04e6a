'use client';
import { createContext, useContext, useMemo, useState, type ReactNode } from 'react';
import type { Role } from '@/core/people';
import { formatLength, showEntered, type LengthUnit } from '@/core/units';
import type { Done, ProblemDocument } from '@/crib/door';

/** Answer of a verb to a form: done, or a problem as a value (errors thrown by an action are masked in production). */
export type Answer = { ok: true; done: Done } | { ok: false; problem: ProblemDocument };
export type ScanAnswer = {
  href: string | null;
  said: string;
  /** A printed label was scanned that says what is so no more, in words. */
  stale?: string;
};

/** What the app hands to the screens, which know nothing of servers. */
export interface AppDoor {
  perform(verb: string, input: Record<string, unknown>): Promise<Answer>;
  lookUp(text: string): Promise<ScanAnswer>;
}

/** Who sees the screen, as the server knows it. */
export interface SignedHere {
  /** Whose initials stand under what is written; null: a screen of many hands at which nobody has signed. */
  who: string | null;
  name: string | null;
  role: Role;
  /** A screen of many hands. */
  shared: boolean;
  /** For how many seconds more who signed at such a screen stands there: the clock of a hatch may be wrong. */
  handSeconds: number | null;
  /** What they may not do, by the name of the verb: who may, in words. */
  barred: Readonly<Record<string, string>>;
}

interface Surroundings extends AppDoor {
  who: string | null;
  signed: SignedHere;
  people: readonly { initials: string; name: string }[];
  zone: string;
  unit: LengthUnit;
  swapUnit(): void;
  /** What was said last; the same words said again are said anew. */
  said: Said;
  say(words: string): void;
}

interface Said {
  text: string;
  count: number;
}

const Context = createContext<Surroundings | null>(null);

export function Surround({
  app,
  signed,
  people,
  zone,
  unit: first,
  children,
}: {
  app: AppDoor;
  signed: SignedHere;
  people: readonly { initials: string; name: string }[];
  zone: string;
  unit: LengthUnit;
  children: ReactNode;
}) {
  const [unit, setUnit] = useState(first);
  const [said, setSaid] = useState<Said>({ text: '', count: 0 });
  const value = useMemo<Surroundings>(
    () => ({
      ...app,
      who: signed.who,
      signed,
      people,
      zone,
      unit,
      said,
      say: (text) => setSaid(({ count }) => ({ text, count: count + 1 })),
      swapUnit: () => {
        const next = unit === 'mm' ? 'inch' : 'mm';
        document.cookie = `stable_unit=${next};path=/;max-age=31536000;samesite=strict`;
        setUnit(next);
      },
    }),
    [app, signed, people, zone, unit, said],
  );
  return <Context.Provider value={value}>{children}</Context.Provider>;
}

export function useSurroundings(): Surroundings {
  const value = useContext(Context);
  if (!value) throw new Error('a screen part outside its Surround');
  return value;
}

/** Who may do a verb, in words, where whoever sees the screen may not; null: they may. */
export const useBarred = (verb: string): string | null => useSurroundings().signed.barred[verb] ?? null;

/** Lengths in the unit that is shown now. */
export function useLengths() {
  const { unit } = useSurroundings();
  return {
    unit,
    unitWord: unit === 'mm' ? 'mm' : 'in',
    show: (mm: number | null | undefined, decimals = 3) => formatLength(mm, unit, decimals),
    entered: (text: string | null, mm: number | null, decimals = 3) => showEntered(text, mm, unit, decimals),
  };
}

/** Moments in the shop's zone. */
export function useTimes() {
  const { zone } = useSurroundings();
  const format = (options: Intl.DateTimeFormatOptions) => {
    const f = new Intl.DateTimeFormat('en-GB', { timeZone: zone, ...options });
    return (at: Date | string) => f.format(new Date(at));
  };
  return {
    moment: format({ day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' }),
    day: format({ day: 'numeric', month: 'short', year: 'numeric' }),
  };
}

/** An ISO day for people, without a zone's help. Example: '2027-01-09' is '9 Jan'. */
export const shortDay = (iso: string): string =>
  new Intl.DateTimeFormat('en-GB', { timeZone: 'UTC', day: 'numeric', month: 'short' }).format(
    new Date(`${iso}T12:00:00Z`),
  );
