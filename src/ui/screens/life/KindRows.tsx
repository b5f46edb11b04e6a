'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { ReactNode } from 'react';
import { feedWords, type Recipe, speedWords } from '@/core/cutting';
import type { KindOfLives } from '@/core/life';
import { linkTo } from '@/core/links';
import { money } from '@/core/units';
import type { LifeSheet } from '@/crib/life';
import { GradeMark, Unknown } from '@/ui/kit/figure';
import { Link } from '@/ui/kit/link';
import { percent } from '@/ui/screens/common/percent';
import { useLengths } from '@/ui/shell';
import { Limits } from './Limits';

/** Lives of the cutter that is open told apart by recipe and by holder. */
export const KindRows = ({ line: { byRecipe, byHolder, edge } }: { line: LifeSheet }) => (
  <>
    {byRecipe && (
      <Kinds
        title="By recipe"
        head={['Recipe', 'cm³ a minute', 'A litre costs']}
        kinds={byRecipe.kinds}
        under={(k) => <RecipeFigures recipe={k.recipe} />}
        columns={(k) => [
          <span key="recipe">
            <Link className="fig" href={linkTo('cutting', { open: k.recipe.code })}>
              {k.recipe.code}
            </Link>{' '}
            <span className="small">{k.recipe.cut}</span>
          </span>,
          k.removal ? span(k.removal.least / 1000, k.removal.most / 1000) : unknown,
          k.litre ? <Limits key="litre" of={k.litre} show={(cents) => money(Math.round(cents))} /> : unknown,
        ]}
      >
        By the recipe that its T was planned to run by; a life counts where nine tenths of it were cut by one
        {others(byRecipe.apart)}. A litre: the minutes of the machine, changes and edges. What lasts longer
        need not be what costs less.
      </Kinds>
    )}
    {byHolder && (
      <Kinds
        title="By its holder"
        head={['Holder', 'Edges a 100 min']}
        kinds={byHolder.kinds}
        columns={(k) => [
          <Link key="holder" className="fig" href={linkTo('cutters', { open: k.by })}>
            {k.by}
          </Link>,
          k.rate.aMinute ? (
            <Limits
              key="rate"
              of={{ ...k.rate.aMinute, value: k.rate.aMinute.cents }}
              show={(cents) => money(Math.round(cents * 100))}
            />
          ) : (
            unknown
          ),
        ]}
      >
        This cutter in this material alone, by the kind of holder it stood in all along
        {others(byHolder.apart)}. Edges: {edge.of}.
      </Kinds>
    )}
  </>
);

const unknown = <Unknown>cannot say</Unknown>;
const others = (apart: number): string =>
  apart === 0 ? '' : `, ${apart} ${apart === 1 ? 'does' : 'do'} not`;
const short = (n: number): string => n.toFixed(n < 10 ? 1 : 0);
const span = (least: number, most: number): string =>
  short(least) === short(most) ? short(least) : `${short(least)} to ${short(most)}`;

/** On a phone its heads and limits stand in two lines. */
const NARROW = {
  '& th, & td': { whiteSpace: { xs: 'normal', sm: 'nowrap' }, paddingLeft: { xs: 0.5, sm: 2 } },
} as const;

function Kinds<K extends KindOfLives>({
  title,
  head: [first = '', ...more],
  kinds,
  columns,
  under,
  children,
}: {
  title: string;
  /** What they are told apart by, then what stands after the mean life. */
  head: readonly string[];
  kinds: readonly K[];
  columns: (kind: K) => ReactNode[];
  /** What stands under its line; left out: nothing but how it does beside the others. */
  under?: (kind: K) => ReactNode;
  children: ReactNode;
}) {
  return (
    <section aria-label={title}>
      <h2>{title}</h2>
      <Table sx={NARROW}>
        <TableHead>
          <TableRow>
            <TableCell>{first}</TableCell>
            <TableCell className="num">Failed</TableCell>
            <TableCell className="num">Mean life, min</TableCell>
            {more.map((words) => (
              <TableCell key={words} className="num">
                {words}
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        {kinds.map((k) => {
          const [name, ...rest] = columns(k);
          return (
            <TableBody key={k.by} aria-label={k.by}>
              <TableRow sx={{ '& > td': { borderBottom: 0, paddingBottom: 0, verticalAlign: 'top' } }}>
                <TableCell>{name}</TableCell>
                <TableCell className="num">
                  <span className="fig">{k.failed}</span> of <span className="fig">{k.lives}</span>
                </TableCell>
                <TableCell className="num fig">
                  {k.mean ? <Limits of={k.mean} show={(n) => n.toFixed(0)} /> : unknown}
                </TableCell>
                {rest.map((cell, i) => (
                  <TableCell key={more[i]} className="num fig">
                    {cell}
                  </TableCell>
                ))}
              </TableRow>
              <TableRow>
                <TableCell colSpan={3 + more.length} sx={{ paddingTop: '2px' }}>
                  {under?.(k)}
                  <Told kind={k} />
                </TableCell>
              </TableRow>
            </TableBody>
          );
        })}
      </Table>
      <p className="soft small">{children} Under a figure its 95 % limits.</p>
    </section>
  );
}

/** Its speed, feed and pass in words. */
function RecipeFigures({ recipe }: { recipe: Recipe }) {
  const { show, unitWord } = useLengths();
  const figures = [
    speedWords(recipe),
    feedWords(recipe, (mm) => show(mm, recipe.feed?.as === 'minute' ? 0 : 3), unitWord),
    recipe.ap === null ? null : `ap ${show(recipe.ap, 2)}`,
    recipe.ae === null ? null : `ae ${show(recipe.ae, 2)}`,
  ];
  return <div className="soft small">{figures.filter((f) => f !== null).join(', ')}</div>;
}

/** Example: 'lasts 1.80 times as long (1.30 to 2.60); by chance in 1 % of such lists'. */
function Told({ kind: { told, p, times, moreFailures } }: { kind: KindOfLives }) {
  if (p === null) return <span className="soft">nothing has failed to tell by</span>;
  if (!told)
    return (
      <span className="soft">
        not told apart
        {moreFailures === null
          ? ''
          : `: if they differ as it looks now, about ${moreFailures} more failures of each would tell`}
      </span>
    );
  const [value, from, to] = [times?.value, times?.from, times?.to].map((n) => n?.toFixed(2));
  const limits =
    from !== undefined && to !== undefined
      ? ` (${from} to ${to})`
      : from !== undefined
        ? ` (${from} at least)`
        : to === undefined
          ? ''
          : ` (${to} at most)`;
  const words = `${value === undefined ? `lasts ${told} than the others` : `lasts ${value} times as long as the others`}${limits}: by chance in ${percent(p)} of such lists`;
  return told === 'shorter' ? <GradeMark grade="question">{words}</GradeMark> : <span>{words}</span>;
}
