'use client';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { CHIPS, CHIPS_NAMES, GAUGE, GAUGE_NAMES, type SignSeen } from '@/core/life';
import type { AssemblyView } from '@/crib/rack';
import { useSendOnce, VerbForm } from '@/ui/kit/form';
import { Caution, Fold } from '@/ui/kit/page';
import { base64, post, useLengths, useSurroundings } from '@/ui/shell';
import { SignPicks } from './SignPicks';
import { type FromPicture, WearPicture } from './WearPicture';

/** What was read of an edge: one figure is enough, and what was not looked at stays empty. */
export function WearForm({ card, onDone }: { card: AssemblyView; onDone: () => void }) {
  const { show } = useLengths();
  const [signs, setSigns] = useState<SignSeen[]>([]);
  const { say } = useSurroundings();
  const router = useRouter();
  const { once } = useSendOnce();
  const [picture, setPicture] = useState<File | null>(null);
  const [read, setRead] = useState<FromPicture | null>(null);
  // How far a reading may be off is said of flank wear alone.
  const put = useMemo(
    () => read && { [read.as]: read.value, ...(read.as === 'flankWear' ? { uncertainty: read.off } : {}) },
    [read],
  );
  const { wear } = card;
  const fits = wear.readings.findLast((r) => r.holeFits !== null)?.holeFits ?? null;
  /** The picture is kept with the piece once its reading is: without it the reading stands all the same. */
  const keep = async () => {
    if (!picture) return;
    const content = await base64(picture);
    const answer = await once((formId) =>
      post('/api/v1/pictures', { piece: card.mark, shows: 'worn edge', content, formId }),
    );
    if (!answer) return;
    say(
      answer.ok
        ? `the edge of ${card.tag} read, its picture kept`
        : `the edge of ${card.tag} is read; its picture was not kept: ${answer.problem.title}`,
    );
    router.refresh();
  };
  return (
    <>
      <h2>Wear of its edge</h2>
      <Fold label="from a picture">
        <WearPicture DC={card.cutter.DC} onPicture={setPicture} onRead={setRead} />
      </Fold>
      <VerbForm
        verb="recordWear"
        fixed={signs.length ? { tag: card.tag, signs } : { tag: card.tag }}
        submit="Record"
        when
        put={put}
        fields={[
          {
            name: 'flankWear',
            label: 'Flank wear VB',
            kind: 'length',
            help: `worn at ${show(wear.limitMm, 2)}. ${wear.limit.because.words}`,
          },
          {
            name: 'uncertainty',
            label: 'It may be off by',
            kind: 'length',
            help: 'of flank wear; a picture says it',
          },
          {
            name: 'corner',
            label: 'Corner, or one spot',
            kind: 'length',
            help: `worn at ${show(wear.cornerLimitMm, 2)}`,
          },
          ...(card.cut.measure === 'holes'
            ? [
                {
                  name: 'gauge',
                  label: 'Gauged, what it makes',
                  kind: 'choice',
                  options: GAUGE_NAMES.map((g) => [g, GAUGE[g]] as const),
                } as const,
                { name: 'hole', label: 'Or its hole, measured', kind: 'length' } as const,
                {
                  name: 'holeFits',
                  label: 'What that hole must be',
                  help: fits ? `left out: ${fits}` : 'H7, or +0/+0.021',
                } as const,
              ]
            : []),
          {
            name: 'chips',
            label: 'Chips out of the edge',
            kind: 'choice',
            options: CHIPS_NAMES.map((c) => [c, CHIPS[c]] as const),
          },
          { name: 'drift', label: 'Size since it was fresh', kind: 'length', help: '+ grew, − shrank' },
          { name: 'zoneFrom', label: 'Worn from', kind: 'length', help: 'from the tip; blank is the tip' },
          { name: 'zoneTo', label: 'Worn to', kind: 'length', help: 'where a sharp flute begins' },
          { name: 'runout', label: 'Runout at the tip', kind: 'length' },
        ]}
        said={() => `the edge of ${card.tag} read`}
        onDone={() => {
          void keep();
          onDone();
        }}
      >
        <SignPicks value={signs} onChange={setSigns} />
      </VerbForm>
      <Caution>
        Read wear with the spindle stopped and the coolant off, or the tool out of the machine; the edge cuts
        even worn.
      </Caution>
    </>
  );
}
