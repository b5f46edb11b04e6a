'use client';
import {
  DndContext,
  type DragEndEvent,
  PointerSensor,
  pointerWithin,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { linkTo } from '@/core/links';
import type { PocketsView } from '@/crib/pockets';
import { ProblemNote, useVerb } from '@/ui/kit/form';
import { Acts, Caution, Empty, Head, Notice, Views } from '@/ui/kit/page';
import { useQuery } from '@/ui/screens/common/query';
import { Middle, useScreenScan, useSurroundings } from '@/ui/shell';
import { Jobs, Kept } from './Jobs';
import { loadedWords } from './loadedWords';
import { KeepTag, MagazineTag } from './MagazineTag';
import { PocketMap, Waiting } from './PocketMap';
import { PocketTag } from './PocketTag';

/** What was to be put where, and did not go because something is there. */
interface Held {
  tag: string;
  pocket: number;
}

/** A machine's magazine: what is in it, what its jobs want, and how it gets there. */
export function PocketsScreen({ view, machines }: { view: PocketsView; machines: readonly string[] }) {
  const query = useQuery('pockets');
  const router = useRouter();
  const { say } = useSurroundings();
  const { machine: m, magazine, pockets, waiting } = view;
  /** The tag in somebody's hand: picked up by a tap or a scan, and not put down yet. */
  const [hand, setHand] = useState<string | null>(query.get('tag'));
  const [held, setHeld] = useState<Held | null>(null);
  const load = useVerb('loadPocket');
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const open = Number(query.get('open'));
  const line = pockets.find((p) => p.pocket === open) ?? null;
  const act = query.get('do');

  /** `t`: as a job calls it; left out: as it usually is here. */
  const put = async (tag: string, pocket: number, instead?: 'out' | 'swap', t?: number) => {
    setHeld({ tag, pocket });
    const done = await load.send(
      { machine: m.code, pocket, tag, ...(instead ? { instead } : {}), ...(t === undefined ? {} : { t }) },
      loadedWords,
    );
    if (!done) return;
    setHeld(null);
    setHand(null);
  };
  const dropped = ({ active, over }: DragEndEvent) => {
    if (over) void put(String(active.id), Number(over.id));
  };
  useScreenScan((text) => {
    const tag = text.trim().toUpperCase();
    // A pocket's own label: P-03; or its number typed into the scan line.
    const pocket = /^(?:P-?)?0*(\d{1,3})$/.exec(tag)?.[1];
    if (pocket !== undefined && hand) {
      void put(hand, Number(pocket));
      return `: ${hand} into it`;
    }
    if (!/^A-\d{4,}$/.test(tag) || !magazine?.pockets) return null;
    setHand(tag);
    return 'in the hand: tap or scan its pocket';
  });

  const inIt = pockets.filter((p) => p.tool).length;
  const there = held && pockets.find((p) => p.pocket === held.pocket)?.tool;
  const isTaken = load.problem?.code === 'CONFLICT' && there && there.tag !== held.tag;
  const beside =
    act === 'magazine' || !magazine ? (
      <MagazineTag view={view} closeHref={query.href({ do: null })} />
    ) : act === 'keep' ? (
      <KeepTag view={view} machines={machines} closeHref={query.href({ do: null })} />
    ) : line ? (
      <PocketTag key={line.pocket} line={line} machine={m} closeHref={query.href({ open: null })} />
    ) : null;
  return (
    <Middle beside={beside}>
      <Head>
        <div>
          <h1>In {m.code}</h1>
          <div className="soft">
            {m.name}
            {magazine &&
              magazine.pockets > 0 &&
              `: ${magazine.kind} of ${magazine.pockets}, ${magazine.pockets - inIt} free`}
            {magazine?.kind === 'by hand' && ': tools are swapped by hand'}
          </div>
        </div>
        <Acts>
          <Button component={Link} href={linkTo('registers', { machine: m.code })}>
            Its numbers
          </Button>
          <Button
            variant="text"
            component={Link}
            href={query.href({ do: 'magazine', open: null })}
            scroll={false}
          >
            magazine
          </Button>
          <Button
            variant="text"
            component={Link}
            href={query.href({ do: 'keep', open: null })}
            scroll={false}
          >
            keep a tool
          </Button>
        </Acts>
      </Head>
      {machines.length > 1 && (
        <Views
          label="Machine"
          stay
          views={machines.map((code) => ({
            words: code,
            href: linkTo('pockets', { machine: code }),
            shown: code === m.code,
          }))}
        />
      )}
      {hand && (
        <Notice label="In the hand">
          <strong className="fig">{hand}</strong> is in the hand: tap its pocket, or scan its number.{' '}
          <Button variant="text" size="small" onClick={() => setHand(null)}>
            put back
          </Button>
        </Notice>
      )}
      <ProblemNote problem={load.problem} />
      {isTaken && (
        <Acts>
          <Button onClick={() => void put(held.tag, held.pocket, 'out')}>{there.tag} goes out</Button>
          {pockets.some((p) => p.tool?.tag === held.tag) && (
            <Button onClick={() => void put(held.tag, held.pocket, 'swap')}>Swap the two</Button>
          )}
        </Acts>
      )}
      {!magazine ? (
        <Empty>
          Nobody said yet how {m.code} keeps its tools: say it beside, and its pockets stand here.
        </Empty>
      ) : (
        magazine.pockets > 0 && (
          <DndContext id="pockets" sensors={sensors} collisionDetection={pointerWithin} onDragEnd={dropped}>
            <PocketMap
              kind={magazine.kind}
              pockets={pockets}
              open={open}
              hand={hand}
              onOpen={(pocket) => router.push(query.href({ open: pocket, do: null }), { scroll: false })}
              onPut={(pocket) => {
                if (hand) void put(hand, pocket);
              }}
              barred={load.barred}
            />
            <Waiting
              tools={waiting}
              hand={hand}
              onTake={(tag) => {
                setHand(tag);
                say(`${tag} in the hand: tap its pocket`);
              }}
            />
          </DndContext>
        )
      )}
      <Jobs
        view={view}
        onPut={magazine?.pockets ? (tag, pocket, t) => void put(tag, pocket, 'out', t) : null}
      />
      <Kept kept={view.kept} />
      <Caution>
        Magazine stopped and door as its rules say before a hand goes in. A tool that is too heavy, too wide
        or under the wrong number is found by the spindle: look at the T in the spindle before the first run.
      </Caution>
    </Middle>
  );
}
