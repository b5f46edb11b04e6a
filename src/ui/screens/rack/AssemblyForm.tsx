'use client';
import { placeOptions } from '@/ui/screens/common/options';
import type { DeviceLine } from '@/crib/devices';
import type { AssemblyView } from '@/crib/rack';
import { Measure } from './Measure';
import { isOne } from '@/core/names';
import { VerbForm } from '@/ui/kit/form';
import { Caution } from '@/ui/kit/page';
import { useLengths } from '@/ui/shell';

type Place = { code: string; name: string; kind: string; inUse: boolean };
const ACTS = ['measure', 'wear', 'stickout', 'down'] as const;
type Act = (typeof ACTS)[number];
export const isAct = (act: string): act is Act => isOne(ACTS, act);

interface Props {
  card: AssemblyView;
  places: readonly Place[];
  devices: readonly DeviceLine[];
  onDone: () => void;
}

/** What is done with an assembly, one form at a time. */
export function AssemblyForm({ act, ...props }: Props & { act: Act }) {
  const Form = { measure: Measure, wear: Wear, stickout: Stickout, down: Down }[act];
  return <Form {...props} />;
}

function Wear({ card, onDone }: Props) {
  const { show } = useLengths();
  return (
    <>
      <h2>Flank wear</h2>
      <VerbForm
        verb="recordWear"
        fixed={{ tag: card.tag }}
        submit="Record"
        when
        fields={[
          {
            name: 'flankWear',
            label: 'Flank wear VB',
            kind: 'length',
            help: `worn at ${show(card.wear.limit.value, 2)}. ${card.wear.limit.because.words}`,
          },
        ]}
        said={() => `wear of ${card.tag} recorded`}
        onDone={onDone}
      />
      <Caution>
        Read wear with the spindle stopped and the coolant off, or the tool out of the machine; the edge cuts
        even worn.
      </Caution>
    </>
  );
}

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

function Down({ card, places }: Props) {
  const held = [...new Map([card.holder, ...card.parts].map((x) => [x.code, x])).values()];
  const options = placeOptions(places);
  return (
    <>
      <h2>Take down</h2>
      <p className="soft small">
        The cutter is still good and its life goes on. If it ended, end its life instead. Holder and parts go
        back where they came from, unless you say otherwise.
      </p>
      <VerbForm
        verb="takeDown"
        fixed={{ tag: card.tag }}
        submit="Take down"
        fields={[
          {
            name: 'cutterTo',
            label: 'Cutter goes to',
            kind: 'choice',
            options,
          },
          ...held.map((x, i) => ({
            name: `to${i}`,
            label: `${x.code} back to ${x.from}, or to`,
            kind: 'choice' as const,
            optional: true,
            options: options.filter(([code]) => code !== x.from),
          })),
        ]}
        shape={(input) => {
          const rest = { ...input };
          const elsewhere = held.flatMap((x, i) => {
            const place = rest[`to${i}`];
            delete rest[`to${i}`];
            return place === undefined ? [] : [{ item: x.code, place }];
          });
          return elsewhere.length ? { ...rest, elsewhere } : rest;
        }}
        said={(d) => `${card.tag} taken down, cutter ${d.piece} to ${d.cutterTo}`}
      />
    </>
  );
}
