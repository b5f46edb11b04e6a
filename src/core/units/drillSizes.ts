/**
 * Number and letter drills, thousandths and tenths of them as the charts print them, inch. ASME B94.11M, from memory.
 * Index i is drill number i + 1.
 */
const NUMBERS =
  '.228 .221 .213 .209 .2055 .204 .201 .199 .196 .1935 .191 .189 .185 .182 .18 .177 .173 .1695 .166 .161 .159 .157 .154 .152 .1495 .147 .144 .1405 .136 .1285 .12 .116 .113 .111 .11 .1065 .104 .1015 .0995 .098 .096 .0935 .089 .086 .082 .081 .0785 .076 .073 .07 .067 .0635 .0595 .055 .052 .0465 .043 .042 .041 .04 .039 .038 .037 .036 .035 .033 .032 .031 .0292 .028 .026 .025 .024 .0225 .021 .02 .018 .016 .0145 .0135'
    .split(' ')
    .map(Number);
const LETTERS =
  '.234 .238 .242 .246 .25 .257 .261 .266 .272 .277 .281 .29 .295 .302 .316 .323 .332 .339 .348 .358 .368 .377 .386 .397 .404 .413'
    .split(' ')
    .map(Number);

/**
 * Diameter of a number or letter drill, inch; null where the text names none. A number carries its sign: '#7', 'No. 7'.
 * Source: ASME B94.11M, from memory. Example: drillSize('#7') = 0.201; drillSize('F') = 0.257; drillSize('7') = null.
 */
export function drillSize(text: string): number | null {
  const t = text.trim().toUpperCase();
  const number = /^(?:#|NO\.?)\s?(\d{1,2})$/.exec(t);
  if (number) return NUMBERS[Number(number[1]) - 1] ?? null;
  return /^[A-Z]$/.test(t) ? (LETTERS[t.charCodeAt(0) - 65] ?? null) : null;
}
