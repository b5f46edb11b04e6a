'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import type { CountView, MovementsView, PlaceLine, PlacesView } from '@/crib/stock';
import { inCrib } from '@/core/stock';
import { Row } from '../figure';
import { VerbForm } from '../form';
import { Middle, useScreenScan, useTimes } from '../shell';
import { Tag } from '../tag';
import { CountSheet } from './CountSheet';
import { EntryBack } from './EntryBack';
import { useQuery } from './query';
import { SET_UP } from './setUp';

interface Props {
  view: PlacesView;
  place: { place: { code: string; name: string; kind: string } | null; lines: PlaceLine[] };
  count: CountView;
  moves: MovementsView | null;
}

const KIND_WORDS: Record<string, string> = {
  room: 'room',
  cabinet: 'cabinet',
  shelf: 'shelf',
  drawer: 'drawer',
  bin: 'bin',
  cart: 'cart',
  machine: 'machine',
  regrind: 'regrind shop',
  hand: 'lent',
  scrap: 'scrap',
  lost: 'lost',
};

/** Places and what lies in them; who has what; count sheets; what moved. */
export function PlacesScreen({ view, place, count, moves }: Props) {
  const query = useQuery();
  const router = useRouter();
  const show = query.get('show') ?? 'places';
  // A scanned place opens here, whatever the scan line would make of it.
  useScreenScan((text) => {
    const known = view.places.find((p) => p.code === text.trim().toUpperCase());
    if (!known) return null;
    router.push(`/places?open=${encodeURIComponent(known.code)}`);
    return `what lies in ${known.name}`;
  });
  const tabs = [
    ['places', 'Where things lie', 0],
    ['loans', 'Who has what', view.loans.length],
    ['regrind', 'Being reground', view.regrinds.length],
    ['counts', 'Counts', view.sheets.filter((s) => s.booked_entry_id === null).length],
    ['moves', 'What moved', 0],
  ] as const;
  const beside = count.sheet ? (
    <CountSheet key={count.sheet.number} view={count} />
  ) : query.get('new') === 'place' ? (
    <Tag over="A place" number="new" closeHref={query.href({ new: null })}>
      <p className="soft">{SET_UP.place.why}</p>
      <VerbForm
        verb={SET_UP.place.verb}
        fields={SET_UP.place.fields}
        submit={SET_UP.place.submit}
        said={(d) => `place ${String(d.code)} added`}
      />
    </Tag>
  ) : place.place ? (
    <PlaceTag place={place.place} lines={place.lines} />
  ) : null;
  return (
    <Middle beside={beside}>
      <div className="head">
        <div>
          <h1>Places</h1>
          <div className="soft">Where everything lies, who has it, and whether the count agrees.</div>
        </div>
        <div className="acts">
          <Button
            component={Link}
            href={query.href({ new: 'place', open: null, sheet: null })}
            scroll={false}
          >
            Add a place
          </Button>
        </div>
      </div>
      <nav className="views" aria-label="Of places">
        {tabs.map(([name, words, n]) => (
          <Link
            key={name}
            href={`/places${name === 'places' ? '' : `?show=${name}`}`}
            aria-current={show === name ? 'true' : undefined}
          >
            {words}
            {n > 0 ? ` (${n})` : ''}
          </Link>
        ))}
      </nav>
      {show === 'places' && <Tree view={view} open={place.place?.code ?? null} />}
      {show === 'loans' && <Loans view={view} />}
      {show === 'regrind' && <Regrinds view={view} />}
      {show === 'counts' && <Sheets view={view} />}
      {show === 'moves' && moves && <Moves view={moves} />}
    </Middle>
  );
}

function Tree({ view, open }: { view: PlacesView; open: string | null }) {
  const query = useQuery();
  if (!view.places.some((p) => inCrib(p.kind)))
    return (
      <div className="empty">
        Here stand the rooms, cabinets, drawers and carts, one inside the other, each with a code to scan. Add
        the first: usually the cabinet you stand at.
      </div>
    );
  return (
    <table className="list">
      <thead>
        <tr>
          <th>Place</th>
          <th>Name</th>
          <th>Kind</th>
          <th className="num">Items</th>
          <th className="num">Pieces</th>
        </tr>
      </thead>
      <tbody>
        {view.places.map((p) => (
          <tr key={p.code} className={p.code === open ? 'open' : undefined}>
            <td style={{ paddingLeft: p.depth * 20 }}>
              <Link
                className="fig"
                href={query.href({ open: p.code, new: null, sheet: null })}
                scroll={false}
              >
                {p.code}
              </Link>
            </td>
            <td>{p.name}</td>
            <td className="soft">{KIND_WORDS[p.kind]}</td>
            <td className="num fig">{p.items || ''}</td>
            <td className="num fig">{p.pieces || ''}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function PlaceTag({
  place,
  lines,
}: {
  place: { code: string; name: string; kind: string };
  lines: PlaceLine[];
}) {
  const query = useQuery();
  const router = useRouter();
  return (
    <Tag
      over={KIND_WORDS[place.kind] ?? 'place'}
      number={place.code}
      words={place.name}
      closeHref={query.href({ open: null })}
    >
      {inCrib(place.kind) && (
        <VerbForm
          verb="startCount"
          fixed={{ place: place.code }}
          fields={[]}
          submit="Count this place"
          said={(d) => `sheet ${String(d.number)} begun`}
          onDone={(d) => router.push(`/places?show=counts&sheet=${String(d.number)}`, { scroll: false })}
        />
      )}
      {lines.length === 0 ? (
        <p className="soft">Nothing lies here by the books.</p>
      ) : (
        <div className="rows">
          {lines.map((l) => (
            <Row
              key={`${l.place_id} ${l.item_id} ${l.lot_id}`}
              name={l.item}
              note={[
                l.words,
                l.place !== place.code && `in ${l.place}`,
                l.lot && `lot ${l.lot}`,
                l.owner && `${l.owner}’s until used`,
                l.edges_left !== null && `${l.edges_left} edges left each`,
                l.marks.length > 0 && l.marks.join(' '),
              ]
                .filter(Boolean)
                .join(', ')}
            >
              <Link href={`/cutters?open=${encodeURIComponent(l.item)}`}>{l.quantity}</Link>
            </Row>
          ))}
        </div>
      )}
      <p className="small">
        <Link href={`/places?show=moves&place=${encodeURIComponent(place.code)}`}>What moved here</Link> ·{' '}
        <Link href={`/cutters?place=${encodeURIComponent(place.code)}`}>as a list of the catalogue</Link>
      </p>
    </Tag>
  );
}

function Loans({ view }: { view: PlacesView }) {
  const { day } = useTimes();
  if (!view.loans.length)
    return (
      <div className="empty">Nobody has anything. Hand things out from a cutter’s tag in the catalogue.</div>
    );
  return (
    <table className="list">
      <thead>
        <tr>
          <th>Who</th>
          <th>What</th>
          <th className="num">Still out</th>
          <th>Since</th>
          <th>Wanted back</th>
        </tr>
      </thead>
      <tbody>
        {view.loans.map((l) => (
          <tr key={l.entry_id}>
            <td>
              <strong>{l.person}</strong>
            </td>
            <td>
              <Link className="fig" href={`/cutters?open=${encodeURIComponent(l.item)}&do=return`}>
                {l.piece ?? l.item}
              </Link>
            </td>
            <td className="num fig">{l.out}</td>
            <td>{day(l.happened_at)}</td>
            <td>
              {l.due === null ? (
                <span className="soft">no day was said</span>
              ) : l.daysLate > 0 ? (
                <strong style={{ color: 'var(--rust)' }}>■ {l.daysLate} days late</strong>
              ) : (
                l.due
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Regrinds({ view }: { view: PlacesView }) {
  const { day } = useTimes();
  if (!view.regrinds.length)
    return (
      <div className="empty">
        Nothing is being reground. A marked cutter that lies in the crib is sent from here once its regrind
        shop is a place.
        <SendForm view={view} />
      </div>
    );
  return (
    <>
      {view.regrinds.map((r) => (
        <section
          key={r.entry_id}
          style={{ borderBottom: '1px solid var(--line)', padding: '10px 0', maxWidth: 640 }}
        >
          <strong className="fig">{r.mark}</strong> {r.item} at {r.place} since {day(r.happened_at)}, sent by{' '}
          {r.who}
          {r.due ? `, due ${r.due}` : ', no day was said'}
          {r.wanted ? `. Wanted: ${r.wanted}` : ''}
          <details>
            <summary>It came back, or was lost</summary>
            <VerbForm
              verb="takeFromRegrind"
              fixed={{ piece: r.mark }}
              submit="Take back"
              fields={[
                { name: 'dc', label: 'DC measured now', kind: 'length' },
                { name: 'lcf', label: 'Flute length measured now', kind: 'length' },
                {
                  name: 'place',
                  label: 'Onto',
                  kind: 'choice',
                  options: view.places
                    .filter((p) => inCrib(p.kind))
                    .map((p) => [p.code, `${p.code} ${p.name}`] as const),
                },
                { name: 'recoated', label: 'Recoated with', optional: true },
                { name: 'cost', label: 'What it cost', kind: 'number', optional: true },
                {
                  name: 'lost',
                  label: 'Or',
                  kind: 'choice',
                  options: [['yes', 'it was lost there']],
                  optional: true,
                },
              ]}
              shape={costInCents}
              said={(d) =>
                `${r.mark} ${d.lost ? 'lost at regrinding' : `back at ${String(d.place)}`}${d.tooSmall ? `. ${String(d.tooSmall)}` : ''}`
              }
            />
          </details>
        </section>
      ))}
      <SendForm view={view} />
    </>
  );
}

/** A cost typed as 12.50 becomes integer cents; anything else is left for the door to refuse. */
function costInCents({ cost, ...input }: Record<string, unknown>): Record<string, unknown> {
  if (cost === undefined) return input;
  const text = String(cost).trim().replace(',', '.');
  return { ...input, costCents: /^\d+(\.\d{1,2})?$/.test(text) ? Math.round(Number(text) * 100) : cost };
}

function SendForm({ view }: { view: PlacesView }) {
  return (
    <section style={{ maxWidth: 640 }}>
      <h2>Send one</h2>
      <VerbForm
        verb="sendToRegrind"
        submit="Send"
        fields={[
          { name: 'piece', label: 'Its mark' },
          {
            name: 'to',
            label: 'To',
            kind: 'choice',
            options: view.places.filter((p) => p.kind === 'regrind').map((p) => [p.code, p.name] as const),
            add: SET_UP.place,
          },
          { name: 'due', label: 'Due back', kind: 'day', optional: true },
          { name: 'wanted', label: 'Wanted: geometry, coating', optional: true },
          { name: 'despite', label: 'Despite what speaks against it', optional: true, wide: true },
        ]}
        said={(d) => `${String(d.piece)} sent to ${String(d.to)}`}
      />
    </section>
  );
}

function Sheets({ view }: { view: PlacesView }) {
  const query = useQuery();
  const { day } = useTimes();
  if (!view.sheets.length)
    return (
      <div className="empty">
        A count sheet lists what lies at a place by the books; you enter what is there, and each difference is
        explained before it is booked. Open a place and press ‘Count this place’.
      </div>
    );
  return (
    <table className="list">
      <thead>
        <tr>
          <th>Sheet</th>
          <th>Place</th>
          <th>Begun</th>
          <th>State</th>
        </tr>
      </thead>
      <tbody>
        {view.sheets.map((s) => (
          <tr key={s.number}>
            <td>
              <Link
                className="fig"
                href={query.href({ sheet: s.number, open: null, new: null })}
                scroll={false}
              >
                {s.number}
              </Link>
            </td>
            <td>{s.place}</td>
            <td>
              {day(s.happened_at)}, {s.who}
            </td>
            <td>
              {s.booked_entry_id === null ? (
                <strong>open</strong>
              ) : (
                `booked by ${s.booked_by} on ${day(s.booked_at!)}`
              )}
              {s.explained ? <span className="soft"> {s.explained}</span> : null}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Kinds of entry in a word or two, where the movement's ends don't say it. */
const ENTRY_WORDS: Record<string, string> = {
  receiveStock: 'received',
  receiveOrder: 'received on order',
  foundStock: 'found',
  moveStock: 'moved',
  issueStock: 'handed out',
  returnStock: 'came back',
  scrapStock: 'scrapped',
  loseStock: 'lost',
  bookCount: 'count',
  gradePiece: 'graded',
  buildAssembly: 'built',
  takeDown: 'taken down',
  endLife: 'life ended',
  resetStickout: 're-set',
  sendToRegrind: 'to regrind',
  takeFromRegrind: 'from regrind',
  counterEntry: 'taken back',
};

function Moves({ view }: { view: MovementsView }) {
  const query = useQuery();
  const { moment } = useTimes();
  const of = (['item', 'piece', 'place', 'who'] as const).flatMap((n) =>
    query.get(n) ? [[n, query.get(n)!] as const] : [],
  );
  return (
    <>
      <p className="soft">
        {of.length ? `Of ${of.map(([n, v]) => `${n} ${v}`).join(', ')}. ` : 'Everything, newest first. '}
        {of.length > 0 && <Link href="/places?show=moves">everything</Link>}
      </p>
      <table className="list">
        <thead>
          <tr>
            <th>When</th>
            <th>What</th>
            <th className="num">How many</th>
            <th>From</th>
            <th>To</th>
            <th>Who</th>
            <th>Entry</th>
          </tr>
        </thead>
        <tbody>
          {view.movements.map((m) => (
            <tr key={m.id} style={m.countered_by !== null ? { textDecoration: 'line-through' } : undefined}>
              <td>{moment(m.happened_at)}</td>
              <td>
                <Link className="fig" href={`/places?show=moves&item=${encodeURIComponent(m.item)}`}>
                  {m.item}
                </Link>{' '}
                {m.piece && (
                  <Link className="fig" href={`/places?show=moves&piece=${encodeURIComponent(m.piece)}`}>
                    {m.piece}
                  </Link>
                )}
                {m.lot ? <span className="soft"> lot {m.lot}</span> : null}
              </td>
              <td className="num fig">{m.quantity}</td>
              <td>{m.from_place ?? <span className="soft">outside</span>}</td>
              <td>{m.to_place ?? <span className="soft">outside</span>}</td>
              <td>
                <Link href={`/places?show=moves&who=${m.who}`}>{m.who}</Link>
              </td>
              <td>
                {ENTRY_WORDS[m.kind] ?? m.kind}
                {m.note ? <span className="soft"> {m.note}</span> : null}{' '}
                {m.countered_by === null && m.counters === null && (
                  <EntryBack entry={m.entry_id} what={`entry ${m.entry_id}`} />
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {view.next !== null && (
        <div className="pages">
          <Button component={Link} href={query.href({ before: String(view.next) })}>
            Further back
          </Button>
        </div>
      )}
    </>
  );
}
