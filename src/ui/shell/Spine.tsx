'use client';
import RackIcon from '@mui/icons-material/AlignVerticalTopOutlined';
import JobsIcon from '@mui/icons-material/AssignmentOutlined';
import TodayIcon from '@mui/icons-material/Checklist';
import CuttersIcon from '@mui/icons-material/HardwareOutlined';
import EntriesIcon from '@mui/icons-material/HistoryOutlined';
import PlacesIcon from '@mui/icons-material/Inventory2Outlined';
import BuyingIcon from '@mui/icons-material/LocalShippingOutlined';
import MachinesIcon from '@mui/icons-material/PrecisionManufacturingOutlined';
import BrokenIcon from '@mui/icons-material/ReportGmailerrorredOutlined';
import CuttingIcon from '@mui/icons-material/SpeedOutlined';
import LifeIcon from '@mui/icons-material/ShowChartOutlined';
import Button from '@mui/material/Button';
import { useColorScheme } from '@mui/material/styles';
import dynamic from 'next/dynamic';
import { usePathname } from 'next/navigation';
import { useState } from 'react';
import { mayDo, ROLES } from '@/core/people';
import { Link } from '@/ui/kit/link';
import { useSurroundings } from './door';
import styles from './Spine.module.css';

// Only a phone opens it.
const Drawer = dynamic(() => import('@mui/material/Drawer'), { ssr: false });

/** The areas in the order of the work, each with the count of what waits there. */
const AREAS = [
  ['/', 'Today', 'today', TodayIcon],
  ['/cutters', 'Cutters', 'cutters', CuttersIcon],
  ['/places', 'Places', 'places', PlacesIcon],
  ['/rack', 'Rack', 'rack', RackIcon],
  ['/machines', 'Machines', null, MachinesIcon],
  ['/jobs', 'Jobs', 'jobs', JobsIcon],
  ['/cutting', 'Cutting', null, CuttingIcon],
  ['/life', 'Life', null, LifeIcon],
  ['/breakages', 'Broken', 'broken', BrokenIcon],
  ['/buying', 'Buying', 'buying', BuyingIcon],
  ['/history', 'Entries', null, EntriesIcon],
] as const;

export type Counts = Partial<
  Record<'today' | 'cutters' | 'places' | 'rack' | 'jobs' | 'buying' | 'broken', number>
>;

interface SpineProps {
  counts: Counts;
  demo: boolean;
  onHelp: () => void;
}

/** The areas at the side; on a phone they are a tap away, in a drawer over the screen. */
export function Spine(props: SpineProps) {
  const [out, setOut] = useState(false);
  const close = () => setOut(false);
  return (
    <header className={styles.spine}>
      <div className={styles.top}>
        <Link className={styles.name} href="/">
          Stable
        </Link>
        <Button color="inherit" className={styles.menu} aria-expanded={out} onClick={() => setOut(true)}>
          Areas
        </Button>
      </div>
      <div className={styles.rest}>
        <Areas counts={props.counts} />
        <Foot {...props} />
      </div>
      {out && (
        <Drawer open onClose={close} slotProps={{ paper: { className: styles.drawer } }}>
          <Button color="inherit" className={styles.close} onClick={close}>
            Close
          </Button>
          <Areas counts={props.counts} onGo={close} />
          <Foot {...props} />
        </Drawer>
      )}
    </header>
  );
}

/** What is held belongs to what broke. */
const isIn = (path: string, href: string): boolean =>
  href === '/'
    ? path === '/'
    : path.startsWith(href) ||
      (href === '/breakages' && path.startsWith('/held')) ||
      (href === '/rack' && path.startsWith('/holders'));

function Areas({ counts, onGo }: { counts: Counts; onGo?: () => void }) {
  const path = usePathname();
  return (
    <nav aria-label="Areas" className={styles.areas}>
      {AREAS.map(([href, words, count, Icon]) => (
        <Link key={href} href={href} onClick={onGo} aria-current={isIn(path, href) ? 'page' : undefined}>
          <Icon aria-hidden="true" fontSize="inherit" />
          <span className={styles.words}>{words}</span>
          {count && counts[count] ? (
            <span className={styles.waiting}>
              {counts[count]}
              <span className="visually-hidden"> waiting</span>
            </span>
          ) : null}
        </Link>
      ))}
    </nav>
  );
}

function Foot({ demo, onHelp }: SpineProps) {
  const { signed } = useSurroundings();
  const { mode, systemMode, setMode } = useColorScheme();
  const dark = (mode === 'system' ? systemMode : mode) === 'dark';
  return (
    <div className={styles.foot}>
      {demo && <span>Demo shop</span>}
      {signed.shared ? (
        <span>A screen of many hands</span>
      ) : (
        <Link className={styles.me} href="/people">
          <span className="visually-hidden">Signed in: </span>
          <strong className="fig">{signed.who}</strong> {signed.name}
          <span className={styles.role}>{ROLES[signed.role].words}</span>
        </Link>
      )}
      {!signed.shared && mayDo(signed.role, ['crib']) && (
        <Link className={styles.me} href="/keeping">
          Backups
        </Link>
      )}
      <Button color="inherit" onClick={() => void signOut()}>
        Sign out
      </Button>
      <Button color="inherit" onClick={() => setMode(dark ? 'light' : 'dark')}>
        {dark ? 'Light' : 'Dark'}
      </Button>
      <Button color="inherit" onClick={onHelp}>
        ? Keys
      </Button>
    </div>
  );
}

/** Ends the sign-in on the server; what the browser holds of the pages goes with the page. */
async function signOut(): Promise<void> {
  await fetch('/api/v1/sign-out', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: '{}',
  });
  // The gate leads to the door, and back here afterwards.
  location.reload();
}
