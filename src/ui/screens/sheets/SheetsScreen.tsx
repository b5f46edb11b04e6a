'use client';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import type { SheetLine, SheetView } from '@/crib/assemblies';
import type { AssemblyView } from '@/crib/rack';
import { Acts, Empty, Head, Notice } from '@/ui/kit/page';
import { LyingDrawing } from '@/ui/rack';
import { useQuery } from '@/ui/screens/common/query';
import { linkTo } from '@/core/links';
import { Middle, useLengths } from '@/ui/shell';
import { BuildFrom } from './BuildFrom';
import styles from './Sheets.module.css';
import { SheetTag } from './SheetTag';
import { WriteSheet } from './WriteSheet';

const WIDE = 300;

/** Designs that are built again and again, each drawn at one scale; one open beside. */
export function SheetsScreen({
  sheets,
  sheet,
  like,
}: {
  sheets: readonly SheetLine[];
  /** The one that is open. */
  sheet: SheetView | null;
  /** The assembly a new one is made of. */
  like: AssemblyView | null;
}) {
  const query = useQuery('sheets');
  const { show, entered, unitWord } = useLengths();
  const open = query.get('open');
  const act = query.get('do');
  const writing = query.get('new') === 'sheet';
  const close = query.href({ open: null, new: null, do: null, like: null });
  const scale = Math.min(1.1, WIDE / Math.max(60, ...sheets.map((s) => s.outline.length + 4)));
  return (
    <Middle
      wide={act === 'build' && sheet !== null}
      beside={
        writing ? (
          <WriteSheet key="new" sheet={null} like={like} closeHref={close} />
        ) : sheet && act === 'change' ? (
          <WriteSheet
            key={`${sheet.code} v${sheet.version}`}
            sheet={sheet}
            like={null}
            closeHref={query.href({ do: null })}
          />
        ) : sheet && act === 'build' ? (
          <BuildFrom
            key={`${sheet.code} v${sheet.version}`}
            sheet={sheet}
            closeHref={query.href({ do: null })}
          />
        ) : sheet ? (
          <SheetTag key={sheet.code} sheet={sheet} closeHref={close} />
        ) : open ? (
          <Notice now>There is no build sheet {open}.</Notice>
        ) : null
      }
    >
      <Head>
        <div>
          <h1>Build sheets</h1>
          <div className="soft">What is built again and again, as it was drawn once</div>
        </div>
        <Acts>
          <Button
            variant="contained"
            component={Link}
            href={query.href({ new: 'sheet', open: null, do: null })}
            scroll={false}
          >
            Write one
          </Button>
          <Button component={Link} href={linkTo('rack')}>
            The rack
          </Button>
        </Acts>
      </Head>
      {sheets.length === 0 && (
        <Empty>
          A sheet says which cutter, holder and parts, how far out and how tight.{' '}
          <Link href={query.href({ new: 'sheet' })}>Write the first one</Link>, or make one of an assembly on
          its tag.
        </Empty>
      )}
      <ul className={styles.list}>
        {sheets.map((s) => (
          <li key={s.code} className={s.code === open ? styles.open : undefined}>
            <Link href={query.href({ open: s.code, do: null, new: null })} scroll={false}>
              <span className={styles.code}>
                <strong className="fig">{s.code}</strong> <span className="soft small">v{s.version}</span>
                <br />
                {s.name}
              </span>
              <LyingDrawing
                outline={s.outline}
                scale={scale}
                width={WIDE}
                label={`${s.code} to scale, gauge line at the left`}
              />
              <span className={styles.figures}>
                <span>
                  <span className="fig">{entered(s.stickoutEntered, s.stickoutMm, 1)}</span>{' '}
                  <span className="soft small">out</span>
                </span>
                <span>
                  <span className="fig">{show(s.expectedMm, 1)}</span>{' '}
                  <span className="soft small">{unitWord} expected</span>
                </span>
              </span>
              <span className="soft small">
                {s.cutter}, in {s.holder}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </Middle>
  );
}
