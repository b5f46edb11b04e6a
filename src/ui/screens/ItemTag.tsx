'use client';
import { inCrib } from '@/core/stock';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { asks, CUTTER_SYMBOLS, HOLDER_SYMBOLS, ORIGIN_WORDS } from '@/core/cutters';
import { GRADES } from '@/core/life';
import type { ItemLine } from '@/crib/stock';
import type { ShopView } from '@/crib/shop';
import { money, Row, Unknown } from '../figure';
import { VerbForm, type FieldSpec } from '../form';
import { CutterDrawing } from '../rack';
import { useLengths } from '../shell';
import { Tag } from '../tag';
import { factFields } from './addItems';
import { FloorFigures } from './FloorFigures';
import { useQuery } from './query';
import { SET_UP } from './setUp';

const CRIB_PLACES = (shop: ShopView) =>
  shop.places.filter((p) => inCrib(p.kind)).map((p) => [p.code, `${p.code} ${p.name}`] as const);

/** One item: its drawing, counts, facts with their origins, and what can be done with it. */
export function ItemTag({ item, shop }: { item: ItemLine; shop: ShopView }) {
  const query = useQuery();
  const { entered, unit, unitWord } = useLengths();
  const act = query.get('do');
  const symbols = (item.kind === 'cutter' ? CUTTER_SYMBOLS : HOLDER_SYMBOLS) as Record<
    string,
    { words: string; kind: string }
  >;
  const toGrade = item.pieces.filter((p) => p.ended_entry_id && !p.grade);
  return (
    <Tag
      over={item.kind === 'cutter' ? 'Cutter' : 'Holder'}
      number={item.code}
      words={`${item.words}${item.maker ? `, ${item.maker}` : ''}`}
      closeHref={query.href({ open: null, do: null })}
    >
      {item.cutter && <CutterDrawing cutter={item.cutter} />}
      <div className="rows">
        <Row name="Unused in the crib" big>
          {item.unused}
        </Row>
        {item.places.map((p) => (
          <Row
            key={p.place_id}
            name={p.place}
            note={p.pieces > 0 && p.place_kind !== 'build' ? `${p.pieces} of them used` : undefined}
          >
            {p.quantity}
          </Row>
        ))}
      </div>
      <div className="acts">
        <Button variant="contained" component={Link} href={query.href({ do: 'receive' })} scroll={false}>
          Receive
        </Button>
        <Button component={Link} href={query.href({ do: 'found' })} scroll={false}>
          Found one
        </Button>
        <Button component={Link} href={query.href({ do: 'facts' })} scroll={false}>
          State facts
        </Button>
      </div>
      {(act === 'receive' || act === 'found') && (
        <>
          <h2>{act === 'receive' ? 'Receive without an order' : 'Found, though the count denies it'}</h2>
          <VerbForm
            key={act}
            verb={act === 'receive' ? 'receiveStock' : 'foundStock'}
            fixed={{ item: item.code }}
            submit={act === 'receive' ? 'Receive' : 'Book as found'}
            fields={[
              { name: 'quantity', label: 'How many', kind: 'whole', start: act === 'found' ? '1' : '' },
              {
                name: 'place',
                label: 'Onto',
                kind: 'choice',
                options: CRIB_PLACES(shop),
                start: item.places.find((p) => p.place_kind !== 'build')?.place ?? '',
                add: SET_UP.place,
              },
            ]}
            said={(d) => `${String(d.quantity)} × ${item.code} onto ${String(d.place)}`}
          />
        </>
      )}
      {act === 'facts' && (
        <>
          <h2>State facts anew</h2>
          <VerbForm
            verb="stateFacts"
            fixed={{ item: item.code }}
            submit="State"
            fields={[...factFields(symbols), ...(item.kind === 'cutter' ? lifeFields(shop) : [])]}
            said={() => `facts of ${item.code} stated`}
          />
        </>
      )}
      {toGrade.length > 0 && <h2>To grade</h2>}
      {toGrade.map((p) => (
        <div key={p.mark}>
          <strong className="fig">{p.mark}</strong> in {p.place}: where may it be used next?
          <VerbForm
            verb="gradePiece"
            fixed={{ piece: p.mark }}
            submit="Grade"
            fields={[
              {
                name: 'grade',
                label: 'Good for',
                kind: 'choice',
                options: GRADES.map((g) => [g, g] as const),
              },
              { name: 'goodZone', label: 'Zone still good', optional: true },
            ]}
            said={(d) => `${p.mark} graded: ${String(d.grade)}`}
          />
        </div>
      ))}
      <h2>Facts</h2>
      <div className="rows">
        {Object.entries(symbols)
          .filter(([symbol]) => !item.cutter || asks(item.cutter.family, symbol))
          .map(([symbol, s]) => {
            const fact = item.facts.find((f) => f.symbol === symbol);
            return (
              <Row
                key={symbol}
                name={s.words}
                note={`${symbol}${fact ? `, ${ORIGIN_WORDS[fact.origin]}` : ''}`}
                unit={fact && (fact.unit === 'mm' || fact.unit === 'inch') ? unitWord : undefined}
              >
                {!fact ? (
                  <Unknown>not known</Unknown>
                ) : fact.unit === 'mm' || fact.unit === 'inch' ? (
                  entered(`${fact.text} ${fact.unit}`, fact.value, unit === 'mm' ? 2 : 3)
                ) : (
                  `${fact.text}${fact.unit === 'deg' ? '°' : ''}`
                )}
              </Row>
            );
          })}
        {item.kind === 'cutter' && (
          <Row name="centre cutting">
            {item.centreCutting === null ? <Unknown /> : item.centreCutting ? 'yes' : 'no'}
          </Row>
        )}
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
      {item.cutter && <FloorFigures key={item.code} cutter={item.cutter} />}
      {item.supply && (
        <p className="soft small">
          {item.supply.supplier} {item.supply.order_code}
          {item.supply.price_cents !== null ? `, ${money(item.supply.price_cents)} each` : ''}, pack of{' '}
          {item.supply.pack}, {item.supply.lead_time_days ?? 'unknown'} days
        </p>
      )}
    </Tag>
  );
}

const lifeFields = (shop: ShopView): FieldSpec[] => [
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
