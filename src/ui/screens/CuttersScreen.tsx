'use client';
import { inCrib } from '@/core/stock';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { asks, CUTTER_SYMBOLS, HOLDER_SYMBOLS, ORIGIN_WORDS } from '@/core/cutters';
import { GRADES } from '@/core/life';
import type { ItemLine, ItemsView } from '@/crib/stock';
import type { ShopView } from '@/crib/shop';
import { money, Row, Unknown } from '../figure';
import { VerbForm, type FieldSpec } from '../form';
import { CutterDrawing } from '../rack';
import { Middle, useLengths } from '../shell';
import { Tag } from '../tag';
import { AddCutterTag, AddHolderTag, factFields } from './addItems';
import { useQuery } from './query';
import { SET_UP } from './setUp';

const CRIB_PLACES = (shop: ShopView) =>
  shop.places.filter((p) => inCrib(p.kind)).map((p) => [p.code, `${p.code} ${p.name}`] as const);

/** Cutters and holders with what the shelf has of them. */
export function CuttersScreen({ view, shop }: { view: ItemsView; shop: ShopView }) {
  const query = useQuery();
  const router = useRouter();
  const [words, setWords] = useState(query.get('q') ?? '');
  const [by, setBy] = useState<'code' | 'unused'>('code');
  const open = view.items.find((i) => i.code === query.get('open')) ?? null;
  const adding = query.get('new');
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = view.items
    .filter((i) =>
      wanted.every((w) =>
        `${i.code} ${i.words} ${i.maker ?? ''} ${i.places.map((p) => p.place).join(' ')}`
          .toLowerCase()
          .includes(w),
      ),
    )
    .sort((a, b) =>
      by === 'unused'
        ? a.unused - b.unused
        : a.kind.localeCompare(b.kind) || a.code.localeCompare(b.code, 'en', { numeric: true }),
    );
  const beside =
    adding === 'cutter' ? (
      <AddCutterTag shop={shop} />
    ) : adding === 'holder' ? (
      <AddHolderTag />
    ) : open ? (
      <ItemTag key={open.code} item={open} shop={shop} />
    ) : null;
  return (
    <Middle beside={beside}>
      <div className="head">
        <div>
          <h1>Cutters and holders</h1>
          <div className="soft">
            {view.items.length} items, {view.items.reduce((sum, i) => sum + i.unused, 0)} unused pieces on the
            shelves
          </div>
        </div>
        <div className="acts">
          <Button component={Link} href={query.href({ new: 'cutter', open: null })} scroll={false}>
            Add a cutter
          </Button>
          <Button component={Link} href={query.href({ new: 'holder', open: null })} scroll={false}>
            Add a holder
          </Button>
        </div>
      </div>
      {view.items.length === 0 ? (
        <div className="empty">
          Here stands every cutter and holder with its facts, each with where it came from, and how many are
          left. <Link href="/cutters?new=cutter">Add the first cutter</Link>.
        </div>
      ) : (
        <>
          <label className="small soft" style={{ display: 'block', marginBottom: 8 }}>
            Words to find{' '}
            <input
              value={words}
              onChange={(e) => {
                setWords(e.target.value);
                history.replaceState(null, '', query.href({ q: e.target.value || null }));
              }}
              style={{
                font: 'inherit',
                padding: '6px 8px',
                width: 280,
                background: 'var(--sheet)',
                color: 'var(--ink)',
                border: '1px solid var(--line)',
              }}
            />
          </label>
          <table className="list">
            <thead>
              <tr>
                <th>
                  <button type="button" onClick={() => setBy('code')}>
                    Code{by === 'code' ? ' ▾' : ''}
                  </button>
                </th>
                <th>What it is</th>
                <th className="num">
                  <button type="button" onClick={() => setBy('unused')}>
                    Unused{by === 'unused' ? ' ▾' : ''}
                  </button>
                </th>
                <th className="num">In builds</th>
                <th>Where</th>
              </tr>
            </thead>
            <tbody>
              {shown.map((i) => (
                <tr
                  key={i.code}
                  className={i === open ? 'open' : undefined}
                  onClick={() => router.push(query.href({ open: i.code, new: null }), { scroll: false })}
                  style={{ cursor: 'pointer' }}
                >
                  <td>
                    <Link
                      className="fig"
                      href={query.href({ open: i.code, new: null })}
                      scroll={false}
                      onClick={(e) => e.stopPropagation()}
                    >
                      {i.code}
                    </Link>
                  </td>
                  <td>
                    {i.words}
                    {i.pieces.some((p) => p.ended_entry_id && !p.grade) && (
                      <div className="small soft">
                        ○ {i.pieces.filter((p) => p.ended_entry_id && !p.grade).length} to grade
                      </div>
                    )}
                  </td>
                  <td className="num fig">
                    {i.unused === 0 ? <span style={{ color: 'var(--rust)' }}>none</span> : i.unused}
                  </td>
                  <td className="num fig">{i.inBuilds || '·'}</td>
                  <td className="small soft">
                    {i.places
                      .filter((p) => p.place_kind !== 'build')
                      .map((p) => p.place)
                      .join(', ')}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {shown.length === 0 && (
            <p className="soft">Nothing has all these words. {view.items.length} items are here.</p>
          )}
        </>
      )}
    </Middle>
  );
}

function ItemTag({ item, shop }: { item: ItemLine; shop: ShopView }) {
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
            {item.centreCutting === null ? 'not known' : item.centreCutting ? 'yes' : 'no'}
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
