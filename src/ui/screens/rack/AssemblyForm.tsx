'use client';
import dynamic from 'next/dynamic';
import type { DeviceLine, GaugeLine } from '@/crib/devices';
import type { AssemblyView } from '@/crib/rack';
import { Measure } from './Measure';
import type { Touchable } from './TouchedOff';
import { Link } from '@/ui/kit/link';
import { linkTo } from '@/core/links';
import { isOne } from '@/core/names';
import { VerbForm } from '@/ui/kit/form';
import { Caution } from '@/ui/kit/page';

type Place = { code: string; name: string; kind: string; inUse: boolean };
const ACTS = ['measure', 'wear', 'stickout', 'tighten', 'down', 'hold', 'fell', 'mark'] as const;
type Act = (typeof ACTS)[number];
export const isAct = (act: string): act is Act => isOne(ACTS, act);

/** Comes when it is asked for: the rack shows without it. */
const DownForm = dynamic(async () => (await import('./DownForm')).DownForm);
const FellForm = dynamic(async () => (await import('@/ui/screens/holders')).FellForm);
const WearForm = dynamic(async () => (await import('./wear/WearForm')).WearForm);

interface Props {
  card: AssemblyView;
  places: readonly Place[];
  devices: readonly DeviceLine[];
  gauges: readonly GaugeLine[];
  /** In which it may be touched off; asked for where one is measured. */
  touchable: readonly Touchable[];
  onDone: () => void;
}

/** What is done with an assembly, one form at a time. */
export function AssemblyForm({ act, ...props }: Props & { act: Act }) {
  const Form = {
    measure: Measured,
    wear: WearForm,
    stickout: Stickout,
    tighten: Tighten,
    down: DownForm,
    hold: HoldBack,
    fell: Fell,
    mark: Mark,
  }[act];
  return <Form {...props} />;
}

/** Held back until somebody has looked at it: what it stands in runs nowhere. */
const HoldBack = ({ card, onDone }: Props) => (
  <>
    <h2>Hold its cutter back</h2>
    <p className="soft small">
      It fell, it slipped, a part came back: {card.tag} runs nowhere, and {card.mark} counts for nothing,
      until somebody says what was found.
    </p>
    <VerbForm
      verb="holdCutter"
      fixed={{ piece: card.mark }}
      submit="Hold it back"
      fields={[{ name: 'why', label: 'Why', wide: true }]}
      begin
      onDone={onDone}
      said={(d) => `${d.piece} is held back`}
    />
  </>
);

const Fell = ({ card, onDone }: Props) => <FellForm of={{ tag: card.tag }} onDone={onDone} />;

/** Gives its holder, or one of its parts, a mark of its own. */
const Mark = ({ card, onDone }: Props) => (
  <>
    <h2>Give its holder a mark</h2>
    <p className="soft small">
      From then on its clampings, its runout, its falls and its pull studs are told from those of its like.
    </p>
    <VerbForm
      verb="markHolder"
      fixed={{ tag: card.tag }}
      submit="Give it a mark"
      fields={[
        ...(card.parts.length
          ? [
              {
                name: 'part' as const,
                label: 'Which part',
                kind: 'choice' as const,
                optional: true,
                options: card.parts.map((p, i) => [String(i + 1), `${p.code}, ${p.words}`] as const),
                help: 'left out: the holder',
              },
            ]
          : []),
        { name: 'since', label: 'In use since', kind: 'day', optional: true },
      ]}
      begin
      onDone={onDone}
      said={(d) => `${d.mark} is a ${d.item}: put that number on it`}
    />
  </>
);

const Measured = ({ card, devices, touchable, onDone }: Props) => (
  <Measure card={card} devices={devices} machines={touchable} onDone={onDone} />
);

function Stickout({ card }: Props) {
  return (
    <>
      <h2>Set the stickout anew</h2>
      <p className="soft small">
        A new build with a new tag, not measured until it is. The jobs it is tied to follow it.
      </p>
      <VerbForm
        verb="resetStickout"
        fixed={{ tag: card.tag }}
        submit="Set anew"
        fields={[
          { name: 'stickout', label: 'Stickout', kind: 'length' },
          { name: 'despite', label: 'Why, if a stop is judged', optional: true },
        ]}
        said={(d) => `${card.tag} is now ${d.tag}, to be measured`}
      />
    </>
  );
}

/** Which wrench a build was tightened with, so that what that wrench was off by is known of it. */
function Tighten({ card, gauges, onDone }: Props) {
  const wrenches = gauges.filter((g) => g.kind === 'torque wrench' && g.judgement.grade !== 'stop');
  if (wrenches.length === 0)
    return (
      <>
        <h2>Tightened</h2>
        <p>
          No torque wrench that may be used is here.{' '}
          <Link href={linkTo('machines', { new: 'gauge' })}>Add one</Link>, or record its calibration.
        </p>
      </>
    );
  return (
    <>
      <h2>Tightened</h2>
      <VerbForm
        verb="recordTightening"
        fixed={{ tag: card.tag }}
        submit="Record it"
        when
        fields={[
          {
            name: 'wrench',
            label: 'With',
            kind: 'choice',
            options: wrenches.map((g) => [g.code, `${g.code}: ${g.judgement.words}`] as const),
          },
          { name: 'torque', label: 'To, N m', kind: 'number', optional: true },
        ]}
        said={(d) => `${d.tag} tightened with ${d.wrench}`}
        onDone={onDone}
      />
      <Caution>
        Tighten it in its fixture, to the torque of holder and nut by their maker: too little lets the cutter
        slip or be pulled out. Measure it again after.
      </Caution>
    </>
  );
}
