'use client';
import { linkTo } from '@/core/links';
import { money } from '@/core/units';
import type { ScrapHeap, ScrapView } from '@/crib/secondlife';
import { Row, Rows, Unknown } from '@/ui/kit/figure';
import { VerbForm } from '@/ui/kit/form';
import { Link } from '@/ui/kit/link';
import { Caution, Empty, Fold, Lines } from '@/ui/kit/page';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useTimes } from '@/ui/shell';

/** What lies in the scrap by what it is sold as, what it weighs and fetches, and what was sold. */
export function Scrap({ view }: { view: ScrapView }) {
  const { day } = useTimes();
  return (
    <>
      {view.heaps.length === 0 && (
        <Empty>
          Nothing lies in the scrap that was not sold. Carbide is worth keeping apart: what is scrapped here
          is weighed by its outline until somebody sells it.
        </Empty>
      )}
      {view.heaps.map((h) => (
        <Heap key={h.substrate} heap={h} />
      ))}
      {view.unknown > 0 && (
        <p className="soft">
          {view.unknown} more lie there without a substrate on record: state it, so that they are sold as what
          they are.
        </p>
      )}
      {view.more && <p className="soft">More kinds lie there than are weighed: these are the most.</p>}
      {view.sales.length > 0 && (
        <>
          <h2>Sold</h2>
          <Lines>
            {view.sales.map((s) => (
              <li key={s.entryId}>
                <span className="fig">
                  {s.kg} kg {s.substrate}
                </span>
                , {s.pieces} pieces at {money(s.perKgCents)} a kg:{' '}
                <b>{money(Math.round(s.kg * s.perKgCents))}</b>
                {s.buyer && `, to ${s.buyer}`}{' '}
                <span className="soft small">
                  {day(s.happenedAt)}, {s.who}
                </span>{' '}
                <EntryBack entry={s.entryId} what={`that ${s.substrate} was sold`} />
              </li>
            ))}
          </Lines>
        </>
      )}
    </>
  );
}

function Heap({ heap: h }: { heap: ScrapHeap }) {
  return (
    <section aria-label={`Scrap of ${h.substrate}`} style={{ maxWidth: 640 }}>
      <h2>{h.substrate}</h2>
      <Rows>
        <Row name="Pieces" note={h.notWeighed ? `${h.notWeighed} of them of no known weight` : undefined}>
          {h.pieces}
        </Row>
        <Row name="Weighs at most" note="flutes and bores taken as full" unit={h.kg > 0 ? 'kg' : undefined}>
          {h.kg > 0 ? h.kg.toFixed(2) : <Unknown>not known</Unknown>}
        </Row>
        <Row name="Fetches at most" note={h.cents === null ? undefined : 'at the last price'}>
          {h.cents === null ? <Unknown>never sold yet</Unknown> : money(h.cents)}
        </Row>
      </Rows>
      <div>
        <Fold label="What it is" says>
          <Lines small>
            {h.items.map((x) => (
              <li key={x.code}>
                <span className="fig">{x.quantity}</span>{' '}
                <Link className="fig" href={linkTo('cutters', { open: x.code })}>
                  {x.code}
                </Link>{' '}
                <span className="soft">{x.words}</span>
                {x.kg === null ? `, ${x.by}` : `, ${x.kg.toFixed(3)} kg, ${x.by}`}
              </li>
            ))}
          </Lines>
        </Fold>
      </div>
      <Fold label="It was sold">
        <VerbForm
          verb="sellScrap"
          fixed={{ substrate: h.substrate }}
          submit="All of it was sold"
          when
          fields={[
            { name: 'kg', label: 'On the scales, kg', kind: 'number' },
            { name: 'perKgCents', label: 'A kilogram fetched', kind: 'money' },
            { name: 'buyer', label: 'To whom', optional: true },
          ]}
          said={(d) =>
            `${d.kg} kg of ${d.substrate} sold for ${money(d.cents)}${d.tooMuch ? `; ${d.tooMuch}` : ''}`
          }
        />
        <Caution>
          Broken carbide cuts: gloves, and eyes covered while the bin is emptied. It is heavier than it looks.
        </Caution>
      </Fold>
    </section>
  );
}
