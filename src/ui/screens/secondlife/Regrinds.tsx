'use client';
import type { PlacesView } from '@/crib/places';
import { VerbForm } from '@/ui/kit/form';
import { Empty, Fold } from '@/ui/kit/page';
import { SET_UP } from '@/ui/screens/common/setUp';
import { useTimes } from '@/ui/shell';
import { placeOptions } from '@/ui/screens/common/options';

/** What is out to be reground, its way back, and sending one more. */
export function Regrinds({ view }: { view: PlacesView }) {
  const { day } = useTimes();
  if (!view.regrinds.length)
    return (
      <Empty>
        Nothing is being reground. A marked cutter that lies in the crib is sent from here once its regrind
        shop is a place.
        <SendForm view={view} />
      </Empty>
    );
  return (
    <>
      {view.regrinds.map((r) => (
        <section
          key={r.entryId}
          style={{ borderBottom: '1px solid var(--line)', padding: '10px 0', maxWidth: 640 }}
        >
          <strong className="fig">{r.mark}</strong> {r.item} at {r.place} since {day(r.happenedAt)}, sent by{' '}
          {r.who}
          {r.due ? `, due ${r.due}` : ', no day was said'}
          {r.wanted ? `. Wanted: ${r.wanted}` : ''}
          <Fold label="It came back, or was lost">
            <VerbForm
              verb="takeFromRegrind"
              fixed={{ piece: r.mark }}
              submit="Take back"
              fields={[
                { name: 'dc', label: 'DC measured now', kind: 'length' },
                { name: 'lcf', label: 'Flute length measured now', kind: 'length' },
                {
                  name: 'place',
                  label: 'Onto',
                  kind: 'choice',
                  options: placeOptions(view.places),
                },
                { name: 'recoated', label: 'Recoated with', optional: true },
                { name: 'costCents', label: 'What it cost', kind: 'money', optional: true },
                {
                  name: 'lost',
                  label: 'Or',
                  kind: 'choice',
                  options: [['yes', 'it was lost there']],
                  optional: true,
                },
              ]}
              said={(d) =>
                `${r.mark} ${d.lost ? 'lost at regrinding' : `back at ${d.place}`}${d.tooSmall ? `. ${d.tooSmall}` : ''}`
              }
            />
          </Fold>
        </section>
      ))}
      <SendForm view={view} />
    </>
  );
}

function SendForm({ view }: { view: PlacesView }) {
  return (
    <section style={{ maxWidth: 640 }}>
      <h2>Send one</h2>
      <VerbForm
        verb="sendToRegrind"
        submit="Send"
        fields={[
          { name: 'piece', label: 'Its mark' },
          {
            name: 'to',
            label: 'To',
            kind: 'choice',
            options: placeOptions(view.places, (k) => k === 'regrind'),
            add: SET_UP.place,
          },
          { name: 'due', label: 'Due back', kind: 'day', optional: true },
          { name: 'wanted', label: 'Wanted: geometry, coating', optional: true },
          { name: 'despite', label: 'Despite what speaks against it', optional: true, wide: true },
        ]}
        said={(d) => `${d.piece} sent to ${d.to}`}
      />
    </section>
  );
}
