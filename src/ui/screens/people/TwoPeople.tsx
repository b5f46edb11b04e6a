'use client';
import { SECOND_PERSON, type SecondPerson } from '@/core/people';
import { VerbForm } from '@/ui/kit/form';

const YES_NO = [
  ['no', 'one person'],
  ['yes', 'two people'],
] as const;

/** What this shop wants two people for. */
export const TwoPeople = ({ wanted }: { wanted: Record<SecondPerson, boolean> }) => (
  <section aria-label="Two people">
    <h2>Where two people sign</h2>
    <VerbForm
      key={JSON.stringify(wanted)}
      verb="setSecondPerson"
      submit="Say so"
      fields={(['writeOff', 'deviation', 'settlement'] as const).map((name) => ({
        name,
        label: SECOND_PERSON[name].words,
        kind: 'choice' as const,
        start: wanted[name] ? 'yes' : 'no',
        options: YES_NO,
      }))}
      said={(d) =>
        d.wanted.length ? `two people for ${d.wanted.length} of them` : 'one person is enough for all'
      }
    />
  </section>
);
