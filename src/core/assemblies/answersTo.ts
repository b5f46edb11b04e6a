import { readLabelCode } from '../links';

/** What somebody looks for on the rack. */
export interface RackAsked {
  find: string;
  taper: string | null;
}

/** What an assembly is looked for by. */
export interface OnRack {
  tag: string;
  cutter: { code: string; words: string };
  holder: { code: string; taper: string | null };
  ties: readonly { job: string }[];
}

/**
 * Whether an assembly hangs where somebody looks: all words in its tag, cutter, holder or jobs (the code of its label is its
 * tag); its taper. Example: 'square sl10' finds a square end mill in SL10.
 */
export function answersTo(card: OnRack, { find, taper }: RackAsked): boolean {
  const text = [
    card.tag,
    card.cutter.code,
    card.cutter.words,
    card.holder.code,
    ...card.ties.map((t) => t.job),
  ]
    .join(' ')
    .toLowerCase();
  return (
    find
      .split(/\s+/)
      .map((word) => (readLabelCode(word)?.tag ?? word).toLowerCase())
      .every((word) => text.includes(word)) &&
    (taper === null || card.holder.taper === taper)
  );
}
