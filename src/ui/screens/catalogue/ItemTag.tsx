'use client';
import { Link } from '@/ui/kit/link';
import { linkTo } from '@/core/links';
import { factsOf, KINDS, questionCutter } from '@/core/cutters';
import { coatingNow, rungsFor } from '@/core/life';
import { money } from '@/core/units';
import type { ItemLine, OneItemView } from '@/crib/catalogue';
import type { ShopView } from '@/crib/shop';
import { type FieldOf, VerbForm } from '@/ui/kit/form';
import { Notice } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { CutterDrawing } from '@/ui/rack';
import { useQuery } from '@/ui/screens/common/query';
import { SET_UP } from '@/ui/screens/common/setUp';
import { hasFigure } from './hasFigure';
import { FloorFigures } from './FloorFigures';
import { HoleFigures } from './HoleFigures';
import { Age, Counts, Facts, Supply, Versions } from './ItemFacts';
import { ItemMoves } from './ItemMoves';
import { Pictures } from './Pictures';
import { Seats } from './Seats';
import { StandingForms } from './StandingForms';
import { gradeSpecs } from '@/ui/screens/common/gradeSpecs';
import { factFields, supplyFields } from './addItems';
import { inUseOptions } from '@/ui/screens/common/options';

/** One item: its drawing, counts, facts with their origins, what follows from them, and what can be done with it. */
export function ItemTag({
  item,
  noHolderTakes,
  bodiesOf,
  pictures,
  age,
  shop,
}: {
  item: ItemLine;
  noHolderTakes: string | null;
  bodiesOf: Pick<OneItemView, 'bodies' | 'bodyLife' | 'spares'>;
  pictures: OneItemView['pictures'];
  age: OneItemView['age'];
  shop: ShopView;
}) {
  const query = useQuery('cutters');
  const act = query.get('do');
  const asked = query.get('fact');
  const toGrade = item.pieces.filter((p) => p.endedEntryId && !p.grade);
  const grades = openGrades(item, shop);
  const questions = item.cutter ? questionCutter(item.cutter) : [];
  return (
    <Tag
      over={KINDS[item.kind].words}
      number={item.code}
      words={`${item.words}${item.maker ? `, ${item.maker}` : ''}`}
      closeHref={query.href({ open: null, do: null })}
    >
      {item.cutter && query.get('show') !== 'figure' && <CutterDrawing cutter={item.cutter} />}
      {hasFigure(item) && query.get('show') !== 'figure' && (
        <p className="small">
          <Link href={query.href({ show: 'figure', do: null })} scroll={false}>
            On the figure: each dimension
          </Link>
        </p>
      )}
      {item.standing && item.standing.standing !== 'approved' && (
        <Notice kind={item.standing.standing === 'rejected' ? 'stop' : 'question'}>
          <strong>{STANDING[item.standing.standing]}</strong> {item.standing.reason}
        </Notice>
      )}
      {(questions.length > 0 || noHolderTakes) && (
        <Notice>
          <strong>In question.</strong>{' '}
          {questions.map((q) => `${q.field} ${q.value}: ${q.words} (usually within ${q.limit}). `)}
          {noHolderTakes && `${noHolderTakes}.`}
        </Notice>
      )}
      <Versions item={item} />
      <Counts item={item} />
      {age && <Age age={age} collet={item.kind === 'collet'} />}
      <ItemMoves item={item} shop={shop} grades={grades} />
      {act === 'facts' && (
        <>
          <h2>State facts anew</h2>
          <VerbForm
            key={asked ?? 'all'}
            verb="stateFacts"
            fixed={{ item: item.code }}
            submit="State"
            fields={stated(item, shop, asked)}
            begin={asked !== null}
            said={() => `facts of ${item.code} stated`}
          />
          {asked !== null && (
            <Link className="small" href={query.href({ fact: null })} scroll={false}>
              all that can be stated
            </Link>
          )}
        </>
      )}
      {act === 'standing' && <StandingForms item={item} />}
      {toGrade.length > 0 && <h2>To grade</h2>}
      {toGrade.map((p) => (
        <div key={p.mark}>
          <strong className="fig">{p.mark}</strong> in {p.place}: where may it be used next?
          <VerbForm
            verb="gradePiece"
            fixed={{ piece: p.mark }}
            submit="Grade"
            fields={gradeSpecs(openGrades(item, shop, p), false)}
            said={(d) => `${p.mark} graded: ${d.grade}`}
          />
        </div>
      ))}
      <Seats item={item} of={bodiesOf} shop={shop} />
      {item.cutter && (
        <p className="small">
          <Link href={linkTo('cutting', { item: item.code })}>recipes of it</Link>
        </p>
      )}
      <HoleFigures item={item} />
      <Facts item={item} />
      {item.cutter && (
        <FloorFigures key={item.code} cutter={item.cutter} centreCutting={item.centreCutting} />
      )}
      <Supply item={item} />
      <Pictures code={item.code} marks={item.pieces.map((p) => p.mark)} pictures={pictures} />
    </Tag>
  );
}

/** Rungs of the ladder that coating and substrate allow: of the item, or of one piece as it is now. */
export const openGrades = (item: ItemLine, shop: ShopView, piece: ItemLine['pieces'][number] | null = null) =>
  rungsFor(shop.ladder, {
    coating: coatingNow(item.facts.find((f) => f.symbol === 'COATING')?.text ?? null, piece),
    substrate: item.substrate,
  })
    .filter((r) => r.not === null)
    .map((r) => [r.rung.name, r.rung.name] as const);

/** What can be stated of an item; where one thing was asked for, that alone, filled with what is known. */
function stated(item: ItemLine, shop: ShopView, asked: string | null): FieldOf<'addItem' | 'stateFacts'>[] {
  const life = item.cutter ? known(lifeFields(shop), lifeOf(item)) : [];
  const supply = known(supplyFields(shop), supplyStarts(item));
  if (asked === 'life') return life;
  if (asked === 'supply') return supply;
  const symbols = factsOf(item.kind, item.family);
  const one = symbols.filter((s) => s === asked);
  return one.length
    ? factFields(one)
    : [...factFields(symbols), ...(item.cutter ? lifeFields(shop) : []), ...supplyFields(shop)];
}
const known = (
  fields: FieldOf<'addItem' | 'stateFacts'>[],
  starts: Record<string, string>,
): FieldOf<'addItem' | 'stateFacts'>[] =>
  fields.map((f) => ({
    ...f,
    start: starts[f.name] ?? f.start,
    ...(f.origin && starts[f.origin] ? { originStart: starts[f.origin] } : {}),
  }));
const lifeOf = ({ assumed: [life] }: ItemLine): Record<string, string> =>
  life
    ? {
        'assumedLife.minutes': String(life.minutes),
        'assumedLife.origin': life.origin,
        'assumedLife.material': life.material ?? '',
      }
    : {};
const supplyStarts = ({ supply: s }: ItemLine): Record<string, string> =>
  s
    ? {
        'supply.supplier': s.supplierInUse ? s.supplier : '',
        'supply.orderCode': s.orderCode,
        'supply.priceCents': s.priceCents === null ? '' : money(s.priceCents),
        'supply.pack': String(s.pack),
      }
    : {};

const STANDING = {
  approved: 'Approved.',
  trial: 'On trial.',
  discontinued: 'No longer made.',
  rejected: 'Not to be used here.',
} as const;

const lifeFields = (shop: ShopView): FieldOf<'addItem' | 'stateFacts'>[] => [
  {
    name: 'assumedLife.minutes',
    label: 'Assumed life, minutes in the cut',
    kind: 'number',
    origin: 'assumedLife.origin',
    wide: true,
  },
  {
    name: 'assumedLife.material',
    label: 'in material',
    kind: 'choice',
    options: inUseOptions(shop.materials),
    optional: true,
    add: SET_UP.material,
  },
];
