/** A piece of a line without its comments and blanks. */
export function codeOf(text: string): string {
  let code = '';
  let inside = false;
  for (const c of text) {
    if (c === ';' && !inside) break;
    if (c === '(') inside = true;
    else if (c === ')' && inside) inside = false;
    else if (!inside && !/\s/.test(c)) code += c;
  }
  return code;
}

/** Why a piece of code is no word. Example: 'X#1' -> macro variables and expressions are not read. */
export function whyUnread(text: string): string {
  if (/^[A-Z]?#/.test(text) || /^[A-Z]?\[/.test(text)) return 'macro variables and expressions are not read';
  if (/^[A-Z][+-]?\.?\d/.test(text)) return 'no such number';
  if (/^[A-Z]/.test(text)) return `no number behind ${text[0]}`;
  return 'not a word of a letter and a number';
}
