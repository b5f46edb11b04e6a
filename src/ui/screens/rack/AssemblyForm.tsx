'use client';
import type { DeviceLine } from '@/crib/devices';
import type { AssemblyView } from '@/crib/rack';
import { DownForm } from './DownForm';
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
  const Form = { measure: Measure, wear: Wear, stickout: Stickout, down: DownForm }[act];
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
