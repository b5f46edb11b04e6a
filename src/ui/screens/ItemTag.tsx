'use client';
import Link from 'next/link';
import {
  factsOf,
  FAMILIES,
  KINDS,
  neededFor,
  ORIGIN_WORDS,
  pricePerEdge,
  questionCutter,
  symbolSpec,
  type FactSymbol,
} from '@/core/cutters';
import { coatingNow, rungsFor } from '@/core/life';
import type { ItemLine, OneItemView } from '@/crib/stock';
import type { ShopView } from '@/crib/shop';
import { money } from '@/core/units';
import { Row, Unknown } from '../figure';
import { VerbForm, type FieldOf, type FieldSpec } from '../form';
import { CutterDrawing } from '../rack';
import { useLengths, useTimes } from '../shell';
import { Tag } from '../tag';
import { factFields, priceInCents, supplyFields } from './addItems';
import { FloorFigures } from './FloorFigures';
import { HoleFigures } from './HoleFigures';
import { cribPlaces, gradeSpecs, ItemMoves } from './ItemMoves';
import { Pictures } from './Pictures';
import { inserts } from './found';
import { useQuery } from './query';
import { SET_UP } from './setUp';

/** One item: its drawing, counts, facts with their origins, what follows from them, and what can be done with it. */
export function ItemTag({
  item,
  noHolderTakes,
  bodies,
  pictures,
  age,
  shop,
}: {
  item: ItemLine;
  noHolderTakes: string | null;
  bodies: OneItemView['bodies'];
  pictures: OneItemView['pictures'];
  age: OneItemView['age'];
  shop: ShopView;
}) {
  const query = useQuery('cutters');
  const act = query.get('do');
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
      {item.cutter && <CutterDrawing cutter={item.cutter} />}
      {item.standing && item.standing.standing !== 'approved' && (
        <div className={item.standing.standing === 'rejected' ? 'ask stop' : 'ask'}>
          <strong>{STANDING[item.standing.standing]}</strong> {item.standing.reason}
        </div>
      )}
      {(questions.length > 0 || noHolderTakes) && (
        <div className="ask">
          <strong>In question.</strong>{' '}
          {questions.map((q) => `${q.field} ${q.value}: ${q.words} (usually within ${q.limit}). `)}
          {noHolderTakes && `${noHolderTakes}.`}
        </div>
      )}
      <Versions item={item} />
      <Counts item={item} />
      {age && <Age age={age} collet={item.kind === 'collet'} />}
      <ItemMoves item={item} shop={shop} grades={grades} />
      {act === 'facts' && (
        <>
          <h2>State facts anew</h2>
          <VerbForm
            verb="stateFacts"
            fixed={{ item: item.code }}
            submit="State"
            fields={[
              ...factFields(factsOf(item.kind, item.family)),
              ...(item.cutter ? lifeFields(shop) : []),
              ...supplyFields(shop),
            ]}
            shape={priceInCents}
            said={() => `facts of ${item.code} stated`}
          />
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
      <Seats item={item} bodies={bodies} shop={shop} />
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

const STANDING = {
  approved: 'Approved.',
  trial: 'On trial.',
  discontinued: 'No longer made.',
  rejected: 'Not to be used here.',
} as const;

/** Inserts into a bare body, or out of it again. */
function InsertForms({ mark, bare, shop }: { mark: string; bare: boolean; shop: ShopView }) {
  const place = (name: 'to', label: string): FieldSpec<'to'> => ({
    name,
    label,
    kind: 'choice',
    options: cribPlaces(shop),
  });
  return (
    <details>
      <summary>{bare ? 'Put inserts in' : 'Take the inserts out'}</summary>
      {bare ? (
        <VerbForm
          verb="mountInserts"
          fixed={{ piece: mark }}
          submit="Put in"
          fields={[{ name: 'inserts', label: 'Inserts from', kind: 'search', search: inserts, wide: true }]}
          shape={({ inserts: taken, ...input }) => ({
            ...input,
            ...(taken ? (JSON.parse(String(taken)) as object) : {}),
          })}
          said={(d) => `${d.quantity} × ${d.item} into ${mark}`}
        />
      ) : (
        <VerbForm
          verb="unmountInserts"
          fixed={{ piece: mark }}
          submit="Take out"
          fields={[
            place('to', 'Onto'),
            { name: 'broken', label: 'Of them broken', kind: 'whole', optional: true },
          ]}
          said={(d) => `${d.back} back with ${d.edgesLeft} edges left, ${d.scrapped} scrapped`}
        />
      )}
    </details>
  );
}

/** Marked bodies and their seats: a damaged seat is known before an insert goes into it. */
function Seats({ item, bodies, shop }: { item: ItemLine; bodies: OneItemView['bodies']; shop: ShopView }) {
  const seats = item.facts.find((f) => f.symbol === 'CICT')?.value ?? null;
  if (!bodies.length) return null;
  return (
    <>
      <h2>Its seats</h2>
      {bodies.map((b) => (
        <div key={b.mark}>
          <strong className="fig">{b.mark}</strong> in {b.place ?? 'no place'}:{' '}
          {b.damaged.length
            ? `seat${b.damaged.length === 1 ? '' : 's'} ${b.damaged.join(', ')} damaged`
            : 'no damaged seat known'}
          {seats === null ? '' : ` of ${seats}`}. {b.inserts ? `Holds ${b.inserts}.` : 'It is bare.'}
          <InsertForms mark={b.mark} bare={b.inserts === null} shop={shop} />
          <VerbForm
            verb="stateSeat"
            fixed={{ piece: b.mark }}
            submit="Mark"
            fields={[
              { name: 'seat', label: 'Seat', kind: 'whole' },
              {
                name: 'damaged',
                label: 'It is',
                kind: 'choice',
                options: [
                  ['yes', 'damaged'],
                  ['no', 'good again'],
                ],
              },
            ]}
            said={(d) => `seat ${d.seat} of ${b.mark} marked`}
          />
        </div>
      ))}
    </>
  );
}

/** What this item follows and what follows it: old stock is used first. */
function Versions({ item }: { item: ItemLine }) {
  const query = useQuery('cutters');
  if (!item.links.length) return null;
  const to = (code: string) => (
    <Link className="fig" href={query.href({ open: code, do: null })} scroll={false}>
      {code}
    </Link>
  );
  return (
    <ul className="small plainlist">
      {item.links.map((l) => (
        <li key={l.entryId}>
          {l.item === item.code ? (
            <>
              {l.relation === 'version' ? 'Newer version of ' : 'May stand in for '}
              {to(l.earlier)}: {l.reason}.
              {l.relation === 'version' ? ' Use what is left of that one first.' : ''}
            </>
          ) : (
            <>
              {l.relation === 'version' ? 'Followed by ' : 'Stood in for by '}
              {to(l.item)}: {l.reason}.{l.relation === 'version' ? ' Use up what is left here first.' : ''}
            </>
          )}
        </li>
      ))}
    </ul>
  );
}

function Counts({ item }: { item: ItemLine }) {
  return (
    <div className="rows">
      <Row
        name="Unused in the crib"
        big
        note={item.suppliers ? `${item.suppliers} the supplier’s own` : undefined}
      >
        {item.unused}
      </Row>
      {item.places.map((p) => (
        <Row
          key={`${p.placeId} ${p.lotId}`}
          name={p.place}
          note={
            [
              p.pieces > 0 && p.placeKind !== 'build' && `${p.pieces} of them used`,
              p.lot && `lot ${p.lot}`,
              p.owner && `${p.owner}’s until used`,
              p.edgesLeft !== null && `${p.edgesLeft} edges left each`,
            ]
              .filter(Boolean)
              .join(', ') || undefined
          }
        >
          {p.quantity}
        </Row>
      ))}
    </div>
  );
}

/** Collets and holders wear without anybody counting minutes: their age is what there is to go by. */
function Age({ age, collet }: { age: NonNullable<OneItemView['age']>; collet: boolean }) {
  const { day } = useTimes();
  const same = age.oldest.getTime() === age.atBest.getTime();
  return (
    <p className="soft small">
      {same
        ? `All of these came on ${day(age.oldest)}.`
        : `The oldest may be from ${day(age.oldest)}; from ${day(age.atBest)} if the old ones went first.`}{' '}
      {collet && 'A worn collet runs out and lets go: indicate the cutter at its tip before blaming it.'}
    </p>
  );
}

function Facts({ item }: { item: ItemLine }) {
  const { entered, unit, unitWord } = useLengths();
  const { day } = useTimes();
  const asked = factsOf(item.kind, item.family);
  // What is known stands first; what isn't known is named, not hidden.
  const known = asked.filter((s) => item.facts.some((f) => f.symbol === s));
  const unknown = asked
    .filter((s) => !known.includes(s))
    .map((symbol) => ({ symbol, results: neededFor(item.kind, item.family, symbol) }));
  const blocking = unknown.filter((u) => u.results.length > 0);
  const others = unknown.filter((u) => u.results.length === 0).map((u) => u.symbol);
  return (
    <>
      <h2>Facts</h2>
      {item.family && (
        <p className="soft small">
          Length is measured to: {FAMILIES[item.family].lengthTo}. DC: {FAMILIES[item.family].diameterAt}.
        </p>
      )}
      <div className="rows">
        {known.map((symbol: FactSymbol) => {
          const fact = item.facts.find((f) => f.symbol === symbol)!;
          const length = fact.unit === 'mm' || fact.unit === 'inch';
          return (
            <Row
              key={symbol}
              name={symbolSpec(symbol).words}
              note={`${symbol}, ${ORIGIN_WORDS[fact.origin]}, ${day(fact.happenedAt)}`}
              unit={length ? unitWord : undefined}
            >
              {length
                ? entered(`${fact.text} ${fact.unit}`, fact.value, unit === 'mm' ? 2 : 3)
                : `${fact.text}${fact.unit === 'deg' ? '°' : ''}`}
            </Row>
          );
        })}
        {item.assumed.map((a) => (
          <Row
            key={a.material ?? 'any'}
            name="assumed life"
            note={`${a.material ?? 'any material'}, ${ORIGIN_WORDS[a.origin as keyof typeof ORIGIN_WORDS]}`}
          >
            {a.minutes} min
          </Row>
        ))}
      </div>
      {blocking.length > 0 && (
        <ul className="plainlist small">
          {blocking.map(({ symbol, results }) => (
            <li key={symbol}>
              <Unknown>not known</Unknown>: {symbolSpec(symbol).words} ({symbol}){' '}
              <span className="soft">needed for {results.join(', ')}</span>
            </li>
          ))}
        </ul>
      )}
      {others.length > 0 && (
        <p className="soft small">
          Nor known, and nothing waits for it: {others.map((s) => `${symbolSpec(s).words} (${s})`).join(', ')}
        </p>
      )}
    </>
  );
}

function Supply({ item }: { item: ItemLine }) {
  const s = item.supply;
  if (!s) return null;
  const edges = item.facts.find((f) => f.symbol === 'EDGES') ?? item.facts.find((f) => f.symbol === 'CEDC');
  const edge = item.kind === 'insert' ? pricePerEdge(s.priceCents, edges?.value ?? null) : null;
  return (
    <p className="soft small">
      {s.supplier} {s.orderCode}
      {s.priceCents !== null ? `, ${money(s.priceCents)} each` : ''}
      {edge !== null
        ? `, ${money(Math.round(edge))} an edge (${edges!.value} edges${edges!.symbol === 'CEDC' ? ', as many as it has' : ''})`
        : ''}
      , pack of {s.pack}, {s.leadTimeDays ?? 'unknown'} days
    </p>
  );
}

function StandingForms({ item }: { item: ItemLine }) {
  return (
    <>
      <h2>How it stands</h2>
      <VerbForm
        verb="stateStanding"
        fixed={{ item: item.code }}
        submit="Say so"
        fields={[
          {
            name: 'standing',
            label: 'It is',
            kind: 'choice',
            options: [
              ['approved', 'approved'],
              ['trial', 'on trial'],
              ['discontinued', 'no longer made'],
              ['rejected', 'not to be used here'],
            ],
          },
          { name: 'reason', label: 'Why' },
        ]}
        said={(d) => `${item.code}: ${d.standing}`}
      />
      <h2>It follows another</h2>
      <VerbForm
        verb="linkItem"
        fixed={{ item: item.code }}
        submit="Link"
        fields={[
          { name: 'earlier', label: 'The other, by code' },
          {
            name: 'relation',
            label: 'This one is its',
            kind: 'choice',
            options: [
              ['version', 'newer version'],
              ['substitute', 'approved substitute'],
            ],
          },
          { name: 'reason', label: 'Why: renamed grade, changed geometry, number dropped', wide: true },
        ]}
        said={(d) => `${item.code} linked to ${d.earlier}`}
      />
    </>
  );
}

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
    options: shop.materials.map((m) => [m.code, m.name] as const),
    optional: true,
    add: SET_UP.material,
  },
];
