'use client';
import Button from '@mui/material/Button';
import { leavesWords } from '@/core/jobs';
import { linkTo, linkToEnd } from '@/core/links';
import { KIT_HEAPS, type KitState, staysOnRack } from '@/core/pockets';
import type { KitTool, KitView } from '@/crib/pockets';
import { GradeMark } from '@/ui/kit/figure';
import { ProblemNote, SendButton, useVerb } from '@/ui/kit/form';
import { Link } from '@/ui/kit/link';
import { Acts, Empty, Head } from '@/ui/kit/page';
import { useQuery } from '@/ui/screens/common/query';
import { shortDay, useLengths, useScreenScan } from '@/ui/shell';
import styles from './Kit.module.css';

/** All that a job's operation needs, by what is to be done for it, and one walk along the shelves. */
export function KitSheet({ kit }: { kit: KitView }) {
  const query = useQuery('jobs');
  const move = useVerb('moveKit');
  const cart = query.get('cart') ?? undefined;
  const pull = (tag: string, to: 'cart' | 'rack') =>
    void move.send({ operation: kit.operation, tag, to, ...(cart && to === 'cart' ? { cart } : {}) }, (d) =>
      d.to === 'cart' ? `${d.tag} pulled for ${d.job}` : `${d.tag} is back on the rack`,
    );
  useScreenScan((text) => {
    const tag = text.trim().toUpperCase();
    const lines = kit.tools.filter((t) => t.tag === tag);
    const line = lines.find((t) => staysOnRack([t]) === null) ?? lines[0];
    if (!line) return /^A-\d{4,}$/.test(tag) ? `is not of this kit: ${kit.job} has none of it` : null;
    if (line.pocket !== null) return `is in the machine already, pocket ${line.pocket}`;
    if (line.pulled) return 'is pulled already';
    const stays = staysOnRack(lines);
    if (stays !== null) return `stays on the rack: ${stays}`;
    pull(tag, 'cart');
    return `for T${line.t}`;
  });
  const good = kit.tools.filter((t) => t.state === 'loaded and good').length;
  return (
    <>
      <Head>
        <div>
          <Link className="small" href={query.href({ do: null, t: null })}>
            {kit.job} {kit.part}
          </Link>
          <h1>Kit, operation {kit.number}</h1>
          <div className="soft">
            for {kit.machine}, due {shortDay(kit.due)} · {kit.partsLeft} parts left · {good} of{' '}
            {kit.tools.length} in the machine and good
          </div>
        </div>
        <Acts>
          <Button component={Link} href={query.href({ do: 'plan', t: null })} scroll={false}>
            Plan a tool
          </Button>
          <Button
            component="a"
            href={`/api/v1/kit.pdf?number=${encodeURIComponent(kit.job)}&op=${kit.number}`}
            download={`${kit.job}-${kit.number}-kit.pdf`}
          >
            Pull list
          </Button>
        </Acts>
      </Head>
      {kit.tools.length > 0 && (
        <div className={styles.bar} aria-hidden="true">
          {kit.tools.map((t) => (
            <span key={t.t} className={BAR[t.state] ?? undefined} />
          ))}
        </div>
      )}
      <ProblemNote problem={move.problem} />
      {kit.tools.length === 0 && (
        <Empty>
          Nothing is planned, and there is no program yet.{' '}
          <Link href={query.href({ do: 'plan', t: null })}>Plan its first tool</Link>, or store its program.
        </Empty>
      )}
      {kit.pull.length > 0 && <Walk kit={kit} />}
      {KIT_HEAPS.map(([name, states]) => {
        const tools = kit.tools.filter((t) => states.includes(t.state));
        return (
          tools.length > 0 && (
            <section key={name} aria-label={name}>
              <h2>
                {name} <span className="soft small">{tools.length}</span>
              </h2>
              {tools.map((t) => (
                <Tool key={t.t} kit={kit} tool={t} move={move} onMove={pull} />
              ))}
            </section>
          )
        );
      })}
    </>
  );
}

const BAR: Partial<Record<KitState, string>> = {
  'loaded and good': styles.good,
  'pulled, ready': styles.out,
  'pulled, to look at': styles.out,
  missing: styles.stop,
};

/** What is fetched, one place after the other. */
function Walk({ kit }: { kit: KitView }) {
  return (
    <section aria-label="One walk">
      <h2>
        One walk along the shelves <span className="soft small">{kit.pull.length} to fetch</span>
      </h2>
      <ul className={styles.walk}>
        {kit.pull.map((p) => (
          <li key={`${p.place} ${p.what} ${p.forT}`}>
            <strong className="fig">{p.place}</strong>
            <span>
              <span className="fig">{p.what}</span> <span className="soft small">{p.words}</span>
            </span>
            <span className="soft small fig">T{p.forT}</span>
          </li>
        ))}
      </ul>
      <p className="soft small">Scan each tag as it comes off the rack: it is marked as pulled.</p>
    </section>
  );
}

function Tool({
  kit,
  tool: t,
  move,
  onMove,
}: {
  kit: KitView;
  tool: KitTool;
  move: ReturnType<typeof useVerb<'moveKit'>>;
  onMove: (tag: string, to: 'cart' | 'rack') => void;
}) {
  const query = useQuery('jobs');
  const tie = useVerb('tieTool');
  const reserve = useVerb('reserveStock');
  const { show, unitWord } = useLengths();
  const [cutter] = t.pieces;
  const href = query.href({ do: 'plan', t: t.t });
  const left = t.plan && leavesWords(t.plan.leaves, (mm) => `${show(mm, 2)} ${unitWord}`);
  const said = [
    t.plan?.does,
    t.plan?.recipe && `by ${t.plan.recipe}`,
    left && (left === 'to size' ? left : `leaves ${left}`),
  ]
    .filter((words) => words)
    .join('; ');
  return (
    <div className={styles.tool}>
      <span className={styles.no}>T{t.t}</span>
      <div>
        {t.tag && (
          <Link className="fig" href={linkTo('rack', { open: t.tag })}>
            {t.tag}
          </Link>
        )}{' '}
        {t.words ?? t.plan?.words ?? t.named ?? <span className="soft">nobody said what it is to be</span>}
        {said && <div className="soft small">{said}</div>}
        {t.why && (
          <div className="small">
            <GradeMark grade={t.grade}>{t.why}</GradeMark>
          </div>
        )}
        {t.shared && (
          <div className="small">
            {t.shared.enough === false ? (
              <GradeMark grade="question">{t.shared.words}</GradeMark>
            ) : (
              <span className="soft">{t.shared.words}</span>
            )}
          </div>
        )}
        {t.elsewhere && (
          <div className="small">
            <GradeMark grade="question">{t.elsewhere}</GradeMark>
          </div>
        )}
        {t.tag === null && cutter && (
          <div className="soft small">
            {t.pieces
              .map((p) => `${p.item}: ${p.take}`)
              .slice(0, 4)
              .join(' · ')}
            {cutter.caution && ` (${cutter.caution})`}
          </div>
        )}
        {t.turns.map((turn) => (
          <div key={turn.number} className="small">
            {turn.words}
          </div>
        ))}
        {t.lacking.length > 0 && (
          <div className="small">
            <GradeMark grade="stop">none here: {t.lacking.join(', ')}</GradeMark>
          </div>
        )}
        <div className={styles.acts}>
          {t.standing.map((tag) => (
            <SendButton
              key={tag}
              variant="text"
              size="small"
              pending={tie.pending}
              barred={tie.barred}
              onSend={() =>
                void tie.send({ operation: kit.operation, t: t.t, tag }, () => `T${t.t} is ${tag}`)
              }
            >
              {tag} stands and is free: tie it
            </SendButton>
          ))}
          {t.tag !== null && t.state === 'to measure' && (
            <Link className="small" href={linkTo('rack', { open: t.tag, do: 'measure' })}>
              measure it
            </Link>
          )}
          {t.tag !== null && t.worn && (
            <Link className="small" href={linkToEnd(t.tag)}>
              change its cutter
            </Link>
          )}
          {t.tag === null && (
            <Link
              className="small"
              href={
                t.sheet
                  ? linkTo('sheets', { open: t.sheet, do: 'build', operation: kit.operation, t: t.t })
                  : linkTo('rack', { new: 'build', job: kit.job, operation: kit.operation, t: t.t })
              }
            >
              build it
            </Link>
          )}
          {t.tag === null && cutter?.from.includes('|') && (
            <SendButton
              variant="text"
              size="small"
              pending={reserve.pending}
              barred={reserve.barred}
              onSend={() =>
                void reserve.send(
                  { item: cutter.item, job: kit.job, quantity: t.aside + 1 },
                  (d) => `${d.quantity} × ${d.item} set aside for ${d.job}`,
                )
              }
            >
              {t.aside ? `set one more aside (${t.aside} are)` : 'set one aside'}
            </SendButton>
          )}
          {t.state === 'missing' && t.plan?.item && (
            <Link className="small" href={linkTo('buying', { new: 'order' })}>
              order it
            </Link>
          )}
          <Link className="small" href={href} scroll={false}>
            {t.plan ? 'plan it anew' : 'say what it is to be'}
          </Link>
        </div>
        <ProblemNote problem={tie.problem ?? reserve.problem} />
      </div>
      <div className={styles.right}>
        <span className="soft small">
          {t.pocket !== null
            ? `pocket ${t.pocket}`
            : t.pulled
              ? (t.pulled.cart ?? `with ${t.pulled.who}`)
              : t.state}
        </span>
        {t.tag !== null && t.pocket === null && !t.elsewhere && (t.pulled || staysOnRack([t]) === null) && (
          <div>
            <SendButton
              size="small"
              pending={move.pending}
              barred={move.barred}
              onSend={() => t.tag !== null && onMove(t.tag, t.pulled ? 'rack' : 'cart')}
            >
              {t.pulled ? 'put back' : 'pulled'}
            </SendButton>
          </div>
        )}
      </div>
    </div>
  );
}
