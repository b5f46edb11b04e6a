'use client';
import { WrongAddress } from './Asked';
import RackIcon from '@mui/icons-material/AlignVerticalTopOutlined';
import JobsIcon from '@mui/icons-material/AssignmentOutlined';
import TodayIcon from '@mui/icons-material/Checklist';
import CuttersIcon from '@mui/icons-material/HardwareOutlined';
import EntriesIcon from '@mui/icons-material/HistoryOutlined';
import PlacesIcon from '@mui/icons-material/Inventory2Outlined';
import BuyingIcon from '@mui/icons-material/LocalShippingOutlined';
import MachinesIcon from '@mui/icons-material/PrecisionManufacturingOutlined';
import LifeIcon from '@mui/icons-material/ShowChartOutlined';
import { useColorScheme } from '@mui/material/styles';
import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useRef, useState, type FormEvent, type ReactNode } from 'react';
import { useSurroundings } from './door';
import { askScreens } from './scanHandlers';
import { useScanner } from './useScanner';

/** The areas in the order of the work, each with the count of what waits there. */
const AREAS = [
  ['/', 'Today', 'today', TodayIcon],
  ['/cutters', 'Cutters', 'cutters', CuttersIcon],
  ['/places', 'Places', 'places', PlacesIcon],
  ['/rack', 'Rack', 'rack', RackIcon],
  ['/machines', 'Machines', null, MachinesIcon],
  ['/jobs', 'Jobs', 'jobs', JobsIcon],
  ['/life', 'Life', null, LifeIcon],
  ['/buying', 'Buying', 'buying', BuyingIcon],
  ['/history', 'Entries', null, EntriesIcon],
] as const;

type Counts = Partial<Record<'today' | 'cutters' | 'places' | 'rack' | 'jobs' | 'buying', number>>;

interface ShellProps {
  counts: Counts;
  people: { initials: string; name: string }[];
  demo: boolean;
  children: ReactNode;
}

/** Spine, scan line and the screen in the middle. */
export function Shell({ counts, people, demo, children }: ShellProps) {
  const path = usePathname();
  const [out, setOut] = useState(false);
  const [help, setHelp] = useState(false);
  // From now on keys and taps are answered: said for those who drive the page from outside.
  useEffect(() => {
    document.documentElement.dataset.alive = 'yes';
  }, []);
  if (path.startsWith('/print/')) return children;
  return (
    <div className="shell">
      <a className="skip" href="#middle">
        To the screen
      </a>
      <header className={out ? 'spine out' : 'spine'}>
        <div className="top">
          <Link className="name" href="/">
            Stable
          </Link>
          <button className="menu" type="button" aria-expanded={out} onClick={() => setOut(!out)}>
            {out ? 'Close' : 'Areas'}
          </button>
        </div>
        <div className="rest">
          <nav aria-label="Areas">
            {AREAS.map(([href, words, count, Icon]) => (
              <Link
                key={href}
                href={href}
                onClick={() => setOut(false)}
                aria-current={(href === '/' ? path === '/' : path.startsWith(href)) ? 'page' : undefined}
              >
                <Icon aria-hidden="true" fontSize="inherit" />
                <span className="words">{words}</span>
                {count && counts[count] ? (
                  <span className="n">
                    {counts[count]}
                    <span className="visually-hidden"> waiting</span>
                  </span>
                ) : null}
              </Link>
            ))}
          </nav>
        </div>
        <Foot people={people} demo={demo} onHelp={() => setHelp(!help)} />
      </header>
      <ScanLine onHelp={() => setHelp((h) => !h)} help={help} />
      {children}
    </div>
  );
}

function Foot({ people, demo, onHelp }: Pick<ShellProps, 'people' | 'demo'> & { onHelp: () => void }) {
  const { who, pickWho } = useSurroundings();
  const { mode, systemMode, setMode } = useColorScheme();
  const dark = (mode === 'system' ? systemMode : mode) === 'dark';
  return (
    <div className="foot rest">
      {demo && <span>Demo shop</span>}
      {people.length > 0 && (
        <label>
          Who are you?
          <select value={who ?? ''} onChange={(e) => void pickWho(e.target.value)}>
            <option value="">Pick initials</option>
            {people.map((p) => (
              <option key={p.initials} value={p.initials}>
                {p.initials} {p.name}
              </option>
            ))}
          </select>
        </label>
      )}
      <button type="button" onClick={() => setMode(dark ? 'light' : 'dark')}>
        {dark ? 'Light' : 'Dark'}
      </button>
      <button type="button" onClick={onHelp}>
        ? Keys
      </button>
    </div>
  );
}

function ScanLine({ help, onHelp }: { help: boolean; onHelp: () => void }) {
  const { lookUp, said, say, unit, swapUnit } = useSurroundings();
  const router = useRouter();
  const [text, setText] = useState('');
  const field = useRef<HTMLInputElement>(null);

  const take = async (scanned: string) => {
    const wanted = scanned.trim();
    if (!wanted) return;
    const screen = askScreens(wanted);
    if (screen) return say(`${wanted} ${screen}`);
    const found = await lookUp(wanted);
    say(`${wanted} ${found.said}`);
    if (found.href) router.push(found.href, { scroll: false });
  };
  useScanner((scan) => {
    setText('');
    void take(scan);
  });
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const typing = (e.target as HTMLElement | null)?.closest?.('input, textarea, select');
      if (e.key === '?' && !typing) onHelp();
      if (e.key === 'k' && (e.ctrlKey || e.metaKey)) {
        e.preventDefault();
        field.current?.focus();
      }
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [onHelp]);

  const submit = (event: FormEvent) => {
    event.preventDefault();
    void take(text);
    setText('');
  };
  return (
    <div className="scan">
      <form onSubmit={submit} role="search">
        <label className="visually-hidden" htmlFor="scan">
          Scan or type a number, a code or words
        </label>
        <input
          id="scan"
          ref={field}
          value={text}
          onChange={(e) => setText(e.target.value)}
          placeholder="Scan, or type a number or words"
          autoComplete="off"
          spellCheck={false}
        />
        <output aria-live="polite">{said}</output>
      </form>
      <button className="unit" type="button" onClick={swapUnit} aria-label={`Lengths in ${unit}: swap`}>
        {unit === 'mm' ? 'mm' : 'inch'}
      </button>
      {help && (
        <div
          role="region"
          aria-label="Keys"
          className="ask"
          style={{ position: 'absolute', right: 22, top: 62, zIndex: 5, maxWidth: 380 }}
        >
          <strong>Scan</strong> anywhere, also inside a field: what is scanned opens, the field keeps its
          text.
          <br />
          <strong>Ctrl K</strong> to the scan line · <strong>?</strong> these keys · <strong>Tab</strong>,{' '}
          <strong>Enter</strong>, <strong>Space</strong> as everywhere
          <br />
          Codes: A- assembly, E- cutter, O- order, and the numbers of jobs, items and places.
        </div>
      )}
    </div>
  );
}

/** The middle of a screen with the tag beside it. */
export function Middle({ children, beside }: { children: ReactNode; beside?: ReactNode }) {
  return (
    <div className={beside ? 'body beside' : 'body'}>
      <main className="middle" id="middle" tabIndex={-1}>
        <WrongAddress />
        {children}
      </main>
      {beside ? (
        <aside className="beside-col" aria-label="Tag" tabIndex={-1}>
          {beside}
        </aside>
      ) : null}
    </div>
  );
}
