import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

const src = join(process.cwd(), 'src');
const picture = readFileSync(join(process.cwd(), 'docs', 'architecture.md'), 'utf8');
/** The rows of the table of words: a word, and its path on each floor. */
const words = picture
  .split('\n')
  .filter((line) => line.startsWith('| ') && line.includes('`'))
  .map((line) =>
    line
      .split('|')
      .slice(1, -1)
      .map((cell) => cell.trim()),
  )
  .filter((cells) => cells.length === 5);

it('names at least twelve words of the trade', () => expect(words.length).toBeGreaterThanOrEqual(12));

it.each(words)('%s is found where the picture says', (_, core, data, crib, screens) => {
  const floors = { core, data, crib, 'ui/screens': screens };
  for (const [floor, cell] of Object.entries(floors))
    for (const [, path] of (cell ?? '').matchAll(/`([\w/]+)`/g)) {
      const at = join(src, floor, path!);
      expect(`${floor}/${path} ${['', '.ts', '.tsx'].some((x) => existsSync(at + x))}`).toBe(
        `${floor}/${path} true`,
      );
    }
});

// Data tables may be longer: figures of a standard, a demo shop.
it('no file is too long to be read at one sitting', () => {
  const long = readdirSync(src, { recursive: true, encoding: 'utf8' })
    .filter((f) => /\.tsx?$/.test(f) && !/\.test\.tsx?$/.test(f))
    .map((f) => ({ f, lines: readFileSync(join(src, f), 'utf8').split('\n').length }))
    .filter(({ lines }) => lines > 300);
  expect(long).toEqual([]);
});

/** Casts and non-null assertions of a file, and those of them without words beside or above them. */
function taken(file: string): { casts: number; assertions: number; bare: string[] } {
  const text = readFileSync(join(src, file), 'utf8');
  const lines = text.split('\n');
  const kind = file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS;
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true, kind);
  const found = { casts: 0, assertions: 0, bare: new Array<string>() };
  const look = (node: ts.Node) => {
    const cast = ts.isAsExpression(node) && node.type.getText() !== 'const';
    const assertion = ts.isNonNullExpression(node);
    if (cast) found.casts += 1;
    if (assertion) found.assertions += 1;
    if (cast || assertion) {
      const { line } = source.getLineAndCharacterOfPosition(node.getStart());
      if (!/\/\/|\*\//.test(lines.slice(Math.max(0, line - 3), line + 1).join('\n')))
        found.bare.push(`${file}:${line + 1}`);
    }
    ts.forEachChild(node, look);
  };
  look(source);
  return found;
}

// What the checker is told to believe: few, each with its reason, and no more than there are.
it('the types are believed and not overruled, but where a reason stands beside', () => {
  const files = readdirSync(src, { recursive: true, encoding: 'utf8' }).filter(
    (f) => /\.tsx?$/.test(f) && !/\.test\.tsx?$|testing/.test(f),
  );
  const all = files.map(taken);
  expect(all.flatMap((f) => f.bare)).toEqual([]);
  expect(all.reduce((n, f) => n + f.casts, 0)).toBeLessThanOrEqual(50);
  expect(all.reduce((n, f) => n + f.assertions, 0)).toBeLessThanOrEqual(30);
});

/** One definition of each judgement: who may ask the function it is made of; every other asks the answer. */
const ASKED_BY: Record<string, readonly string[]> = {
  screwsDue: ['core/life', 'crib/catalogue/views/bodiesOf.ts'],
  sitsInDamagedSeat: ['core/stock', 'core/jobs/use/left.ts', 'crib/catalogue/views/bodiesOf.ts'],
  staysOnRack: [
    'core/pockets',
    'crib/jobs/verbs/moveKit.ts',
    'crib/pockets/pullList.ts',
    'ui/screens/jobs/kit',
  ],
  judgeItself: ['core/jobs/use', 'crib/rack/cards.ts'],
  judgeFragments: ['core/breakage', 'core/jobs/use/judgeUse.ts'],
  suspects: ['core/breakage', 'crib/breakage/suspectsOf.ts'],
  judgeUse: ['core/jobs/use', 'crib/rack/judgedUse.ts', 'crib/jobs/computations.ts'],
  judgeFit: ['core/jobs/use', 'crib/assemblies/build.ts', 'ui/screens/common/judgedBuild.ts'],
  judgeBuild: [
    'core/assemblies',
    'crib/assemblies',
    'crib/rack/cards.ts',
    'ui/screens/common/judgedBuild.ts',
  ],
  judgeBySheet: ['core/assemblies', 'crib/assemblies/build.ts', 'ui/screens/sheets/judgedBySheet.ts'],
  holdsAs: [
    'core/assemblies',
    'crib/assemblies',
    'crib/stock/views/fitting.ts',
    'ui/screens/common/judgedBuild.ts',
  ],
  buildFigures: [
    'core/assemblies',
    'crib/assemblies/computations.ts',
    'crib/rack/views/assemblyView.ts',
    'ui/screens/common/judgedBuild.ts',
  ],
  fitsNext: ['core/assemblies', 'crib/stock/views/fitting.ts'],
  besideWall: ['core/assemblies', 'crib/assemblies/computations.ts', 'ui/screens/common/judgedBuild.ts'],
  sameTaper: [
    'core/assemblies',
    'core/cutters',
    'core/jobs/use',
    'crib/assemblies/useFigures.ts',
    'crib/life/verbs/beginTrial.ts',
    'crib/rack/views/assemblyView.ts',
  ],
  isWorn: [
    'core/life',
    'crib/rack/cards.ts',
    'crib/buying/demand.ts',
    'crib/assemblies/taking.ts',
    'crib/stock/views/sources.ts',
  ],
  countsAs: [
    'core/stock',
    'core/choosing/chooseCutter.ts',
    'crib/assemblies/taking.ts',
    'crib/buying/demand.ts',
    'crib/stock/views/sources.ts',
  ],
  freeFor: [
    'core/stock',
    'core/choosing/chooseCutter.ts',
    'crib/assemblies/taking.ts',
    'crib/buying/demand.ts',
    'crib/catalogue/views/itemView.ts',
    'crib/stock',
  ],
  mayWait: ['crib/today'],
  partsGoodFor: ['core/jobs/use'],
  isEnough: ['core/buying'],
  expectedDay: ['core/buying', 'crib/buying/views/buyingView.ts'],
  consumption: ['core/life', 'crib/life', 'crib/lives', 'crib/buying/views/buyingView.ts'],
  expectLife: ['core/life', 'crib/life', 'crib/lives'],
  cameOut: ['core/life', 'crib/life'],
  judgeHolder: ['core/holders', 'crib/stock/markedHolders.ts'],
  holderDue: ['core/holders', 'crib/stock/markedHolders.ts'],
  measuredBefore: ['core/holders', 'crib/rack/holdersOn.ts'],
  gaugeOfSize: ['core/life', 'crib/life/verbs/recordWear.ts'],
  changeCosts: ['core/life', 'crib/life/costsHere.ts'],
  assumedFromLike: ['core/life', 'crib/lives'],
  cheaperOf: ['crib/lives', 'crib/life'],
  judgeBackups: ['core/keeping', 'crib/keeping/views/keepingView.ts'],
};
it.each(Object.entries(ASKED_BY))('%s is asked where it is to be, and judged again nowhere', (name, by) => {
  const call = new RegExp(`\\b${name}\\(`);
  const callers = readdirSync(src, { recursive: true, encoding: 'utf8' })
    .filter((f) => /\.tsx?$/.test(f) && !/\.test\.tsx?$/.test(f))
    .filter((f) => call.test(readFileSync(join(src, f), 'utf8')))
    .filter((f) => !by.some((allowed) => f.startsWith(allowed)));
  expect(callers).toEqual([]);
});
