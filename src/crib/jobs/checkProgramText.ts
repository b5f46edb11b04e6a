import { LIMITS, mostOf } from '@/core/limits';
import { Problem } from '@/crib/door';

/** Refuses text that no NC program can be, before the reader spends time on it. */
export function checkProgramText(text: string): void {
  if (text.length > LIMITS.programCharacters.most)
    throw new Problem('TOO_LARGE', `The program has ${text.length} characters`, {
      field: 'text',
      value: text.length,
      limit: mostOf('programCharacters'),
      wayOut: 'Split it, or leave the comments out.',
    });
  if (text.trim() === '') throw emptyProgram();
  if (text.includes('\0')) throw noText();
}

const emptyProgram = () =>
  new Problem('INVALID_INPUT', 'The program is empty', {
    field: 'text',
    value: '',
    limit: 'at least one block',
    wayOut: 'Paste it, or drop its file.',
  });
/** A NUL can't be stored as text, and never stands in a program. */
const noText = () =>
  new Problem('INVALID_INPUT', 'This is no text: it holds binary bytes', {
    field: 'text',
    value: 'binary',
    limit: 'plain text',
    wayOut: 'Drop the NC program’s own file.',
  });

/** The same of a program that comes in pieces: `look` sees each as it comes, `end` knows whether there was anything. */
export function programPieces(): { look: (piece: Uint8Array) => void; end: () => void } {
  let something = false;
  return {
    look(piece) {
      if (piece.includes(0)) throw noText();
      something ||= piece.some((byte) => byte > 32);
    },
    end() {
      if (!something) throw emptyProgram();
    },
  };
}
