import { daysBetween } from '../units';
import { inCrib } from './places';

/** A marked, used piece as far as it decides what it counts as. */
export interface UsedPiece {
  /** Kind of the place it is at; null: nowhere. */
  place: string | null;
  /** Days it is late to come back from somebody or from being ground; 0: not late, or no day was said. */
  daysLate: number;
  /** Its present edges ended. */
  ended: boolean;
  /** What it was graded for since; null: not graded. */
  grade: string | null;
  /** Work materials (ISO 513 groups) its rung of the ladder still allows; empty: none, it is scrap. */
  groups: readonly string[];
  /** Flank wear at the criterion; null: no reading says. */
  worn: boolean | null;
  /** Held back until somebody has looked at it; left out: it is not. */
  heldBack?: boolean;
}

/** What a used piece counts as for one use, and why. */
export interface CountsAs {
  as: 'life left' | 'graded' | 'nothing';
  why: string;
}

const AWAY: Record<string, string> = {
  hand: 'lent out',
  machine: 'at a machine',
  regrind: 'away to be ground',
  quarantine: 'in quarantine until somebody has looked at it',
  build: 'stands in a build',
  scrap: 'scrapped',
  lost: 'lost',
};

/**
 * What a used piece counts as, for work in a group of materials (null: any). Asked by building, choosing, taking and
 * buying alike: a worn edge counts nothing, one that ended counts nothing until it is graded, a graded one where its
 * rung of the ladder allows, another by the life it has left; what is lent, away, in quarantine, held back, scrapped or lost counts
 * nothing now, and says how late it is to come back.
 * `builds`: a piece in a build counts too, as where life left is added up. Common practice.
 * Example: graded 'aluminium' (N) for steel (P): nothing, 'graded aluminium, not for P'.
 */
export function countsAs(piece: UsedPiece, group: string | null, builds = false): CountsAs {
  const nothing = (why: string): CountsAs => ({ as: 'nothing', why });
  if (!inCrib(piece.place) && !(builds && piece.place === 'build')) return nothing(away(piece));
  if (piece.heldBack) return nothing('held back until somebody has looked at it');
  if (piece.grade !== null) {
    if (!piece.groups.length) return nothing(`graded ${piece.grade}`);
    return group === null || piece.groups.includes(group)
      ? { as: 'graded', why: `graded ${piece.grade}` }
      : nothing(`graded ${piece.grade}, not for ${group}`);
  }
  if (piece.ended) return nothing('ended, and not graded');
  if (piece.worn === true) return nothing('worn');
  return { as: 'life left', why: 'used, still good' };
}

function away({ place, daysLate }: UsedPiece): string {
  if (place === null) return 'nowhere';
  const where = AWAY[place] ?? place;
  return daysLate > 0 ? `${where}, ${daysLate} ${daysLate === 1 ? 'day' : 'days'} late` : where;
}

/** A piece as its row says it: where it is and since when it is due back, whether it ended, its grade, its wear. */
export const usedPiece = (
  row: {
    placeKind: string | null;
    dueBack: string | null;
    endedEntryId: number | null;
    grade: string | null;
    heldBack?: boolean;
  },
  ladder: readonly { name: string; groups: readonly string[] }[],
  worn: boolean | null,
  /** null: nobody asks how late it is. */
  today: string | null,
): UsedPiece => ({
  place: row.placeKind,
  daysLate: row.dueBack === null || today === null ? 0 : Math.max(0, daysBetween(row.dueBack, today)),
  ended: row.endedEntryId !== null,
  grade: row.grade,
  groups: ladder.find((r) => r.name === row.grade)?.groups ?? [],
  worn,
  heldBack: row.heldBack ?? false,
});
