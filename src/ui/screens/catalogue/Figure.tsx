'use client';
import { Link } from '@/ui/kit/link';
import { useRouter } from 'next/navigation';
import {
  dimensionsOf,
  type FactSymbol,
  holderDimensions,
  isSymbol,
  neededFor,
  symbolSpec,
} from '@/core/cutters';
import { sure } from '@/core/sure';
import type { ItemLine } from '@/crib/catalogue';
import { VerbForm } from '@/ui/kit/form';
import { Acts, Head, Notice } from '@/ui/kit/page';
import { DimensionedDrawing, type Sureness } from '@/ui/rack';
import { useQuery } from '@/ui/screens/common/query';
import { useLengths } from '@/ui/shell';
import { factFields } from './addItems';
import styles from './Figure.module.css';

/** What a field begins with: the fact in the unit it was entered in, whatever is shown, and where it came from. */
export const asItStands = (fact: ItemLine['facts'][number] | undefined) =>
  fact === undefined
    ? {}
    : {
        start: fact.unit === 'mm' ? `${fact.text} mm` : fact.unit === 'inch' ? `${fact.text} in` : fact.text,
        originStart: fact.origin,
      };

/** An item's page: its facts stand on its figure as dimensions; each is stated where it stands. */
export function Figure({ item }: { item: ItemLine }) {
  const query = useQuery('cutters');
  const router = useRouter();
  const { entered, unit, unitWord } = useLengths();
  const stating = query.get('fact');
  const figure = item.cutter
    ? dimensionsOf(item.kind, item.cutter)
    : holderDimensions(sure(item.holder, `${item.code} as a holder`));
  const fact = (symbol: FactSymbol) => item.facts.find((f) => f.symbol === symbol);
  // What nothing waits for and nobody knows would only crowd the figure.
  const shown = figure.dimensions.filter(
    (d) => d.value !== null || neededFor(item.kind, item.family, d.symbol).length > 0,
  );
  const left = figure.dimensions.filter((d) => !shown.includes(d)).map((d) => d.symbol);
  const said = (symbol: FactSymbol) => {
    const known = fact(symbol);
    const value = figure.dimensions.find((d) => d.symbol === symbol)?.value ?? null;
    const guessed = known?.origin === 'guess' || known?.origin === 'similar';
    const sure: Sureness = value === null ? 'not known' : guessed ? 'guess' : 'known';
    const degrees = symbolSpec(symbol).kind === 'degree';
    const text =
      value === null
        ? null
        : degrees
          ? `${known?.text ?? value}°`
          : entered(known ? `${known.text} ${known.unit}` : null, value, unit === 'mm' ? 2 : 3);
    return { text, sure, words: symbolSpec(symbol).words, href: query.href({ fact: symbol }) };
  };
  const symbol = stating !== null && isSymbol(stating) ? stating : null;
  const waiting = symbol ? neededFor(item.kind, item.family, symbol) : [];
  return (
    <>
      <Head>
        <div>
          <h1>
            <span className="fig">{item.code}</span>, {item.words}
          </h1>
          <div className="soft">
            To scale, in {unitWord}. Every fact stands on the figure: click one to state it, Tab goes round.
          </div>
        </div>
        <Acts>
          <Link href={query.href({ show: null, fact: null })}>Back to the list</Link>
        </Acts>
      </Head>
      <div className={styles.sheet}>
        <DimensionedDrawing
          figure={{ ...figure, dimensions: shown }}
          of={said}
          open={symbol}
          label={`${item.code} with its facts`}
        />
      </div>
      <p className="soft small" aria-hidden="true">
        <span style={{ color: 'var(--ink)' }}>— measured or the maker’s</span> · — copied or guessed ·{' '}
        <span style={{ color: 'var(--brass)' }}>- - - not known, and something waits for it</span>
      </p>
      {symbol && (
        <Notice label={`State ${symbol}`}>
          {waiting.length > 0 && <p className="small">Waits for it: {waiting.join(', ')}.</p>}
          <VerbForm
            key={symbol}
            verb="stateFacts"
            fixed={{ item: item.code }}
            submit={`State ${symbol}`}
            fields={factFields([symbol]).map((f) => ({ ...f, ...asItStands(fact(symbol)) }))}
            shape={(input) => input}
            said={() => `${symbol} of ${item.code} stated`}
            onDone={() => router.push(query.href({ fact: null }), { scroll: false })}
          />
        </Notice>
      )}
      {left.length > 0 && (
        <p className="small">
          Not known, and nothing waits for it:{' '}
          {left.map((s, i) => (
            <span key={s}>
              {i > 0 && ', '}
              <Link href={query.href({ fact: s })} scroll={false} className={styles.whole}>
                {symbolSpec(s).words} ({s})
              </Link>
            </span>
          ))}
        </p>
      )}
    </>
  );
}
