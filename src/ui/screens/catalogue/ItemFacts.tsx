'use client';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { isOne } from '@/core/names';
import { Link } from '@/ui/kit/link';
import {
  factsOf,
  type FactSymbol,
  FAMILIES,
  neededFor,
  ORIGIN_WORDS,
  ORIGINS,
  pricePerEdge,
  symbolSpec,
} from '@/core/cutters';
import { sure } from '@/core/sure';
import { money } from '@/core/units';
import type { ItemLine, OneItemView } from '@/crib/catalogue';
import { Row, Rows, Unknown } from '@/ui/kit/figure';
import { Lines } from '@/ui/kit/page';
import { useQuery } from '@/ui/screens/common/query';
import { useLengths, useTimes } from '@/ui/shell';

/** What this item follows and what follows it: old stock is used first. */
export function Versions({ item }: { item: ItemLine }) {
  const query = useQuery('cutters');
  if (!item.links.length) return null;
  const to = (code: string) => (
    <Link className="fig" href={query.href({ open: code, do: null })} scroll={false}>
      {code}
    </Link>
  );
  return (
    <Lines small>
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
    </Lines>
  );
}

export function Counts({ item }: { item: ItemLine }) {
  return (
    <Rows>
      <Row
        name="Unused in the crib"
        big
        note={item.suppliers ? `${item.suppliers} the supplier’s own` : undefined}
      >
        {item.unused}
      </Row>
      {item.reserved.map((r) => (
        <Row key={r.job} name={`set aside for ${r.job}`}>
          {r.quantity} <EntryBack entry={r.entryId} what={`what is set aside for ${r.job}`} />
        </Row>
      ))}
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
    </Rows>
  );
}

/** Collets and holders wear without anybody counting minutes: their age is what there is to go by. */
export function Age({ age, collet }: { age: NonNullable<OneItemView['age']>; collet: boolean }) {
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

export function Facts({ item }: { item: ItemLine }) {
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
      <Rows>
        {known.map((symbol: FactSymbol) => {
          const fact = sure(
            item.facts.find((f) => f.symbol === symbol),
            symbol,
          );
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
            note={`${a.material ?? 'any material'}, ${isOne(ORIGINS, a.origin) ? ORIGIN_WORDS[a.origin] : a.origin}`}
          >
            {a.minutes} min
          </Row>
        ))}
      </Rows>
      {blocking.length > 0 && (
        <Lines small>
          {blocking.map(({ symbol, results }) => (
            <li key={symbol}>
              <Unknown>not known</Unknown>: {symbolSpec(symbol).words} ({symbol}){' '}
              <span className="soft">needed for {results.join(', ')}</span>
            </li>
          ))}
        </Lines>
      )}
      {others.length > 0 && (
        <p className="soft small">
          Nor known, and nothing waits for it: {others.map((s) => `${symbolSpec(s).words} (${s})`).join(', ')}
        </p>
      )}
    </>
  );
}

export function Supply({ item }: { item: ItemLine }) {
  const s = item.supply;
  if (!s) return null;
  const edges = item.facts.find((f) => f.symbol === 'EDGES') ?? item.facts.find((f) => f.symbol === 'CEDC');
  const edge = item.kind === 'insert' ? pricePerEdge(s.priceCents, edges?.value ?? null) : null;
  return (
    <p className="soft small">
      {s.supplier} {s.orderCode}
      {s.priceCents !== null ? `, ${money(s.priceCents)} each` : ''}
      {edge !== null && edges
        ? `, ${money(Math.round(edge))} an edge (${edges.value} edges${edges.symbol === 'CEDC' ? ', as many as it has' : ''})`
        : ''}
      , pack of {s.pack}, {s.leadTimeDays ?? 'unknown'} days
    </p>
  );
}
