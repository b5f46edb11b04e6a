'use client';
import { type Control, Controller, useWatch } from 'react-hook-form';
import { type FragmentState, isBreak, leavesFragments, type Seen } from '@/core/breakage';
import type { Ending } from '@/core/life';
import type { AssemblyCard } from '@/crib/rack';
import { Entry, Field, Fields, PickOne } from '@/ui/kit/field';

/** What to mind first, by how it ended. */
export const CAUTIONS: Partial<Record<Ending, string>> = {
  broken:
    'A cutter broken at speed throws fragments. Stop and lock out before clearing; find every fragment, a shard left in the cut breaks the next cutter.',
  chipped: 'Look with a light for chips left in the cut before the next cutter goes in.',
  crash:
    'Stop and lock out. After a crash K may be another: measure the machine and every tool that hit before the next cut.',
  'pulled-out': 'Hold every part since the last good measurement. Degrease shank and bore, torque the nut.',
};

/** What is said of an end, as typed. */
export interface EndTexts {
  /** Parts since the last log, by operation: `o` and its id. */
  since: Record<string, string>;
  kind: Ending | null;
  signs: Seen[];
  /** On which T it broke: operation and T, with a space between. */
  at: string | null;
  fragments: FragmentState | null;
  recutBy: string;
  lostParts: string;
  lostMinutes: string;
  /** null: what is usual after such an end. */
  then: 'down' | 'rebuild' | 'turned' | null;
  /** Seats that are turned (none: all), those of them that are broken, and from where new inserts come. */
  seats: string[];
  brokenSeats: string[];
  fresh: string;
  next: string;
  stickout: string;
  to: string;
  cost: string;
  despite: string;
}
export const FOR_A_THUMB = { width: '100%', minHeight: 44, fontSize: 16 };

/** What is said of what broke; what was left blank is not known, and not nothing. */
export function brokeOf({ kind, at, fragments, recutBy, lostParts, lostMinutes }: EndTexts) {
  if (kind === null || !isBreak(kind)) return {};
  const [operation, t] = (at ?? '').split(' ').map(Number);
  return {
    ...(operation && t !== undefined ? { at: { operation, t } } : {}),
    ...(fragments && leavesFragments(kind) ? { fragments } : {}),
    ...(fragments === 'recut' && recutBy.trim() ? { recutBy: recutBy.trim() } : {}),
    ...(lostParts.trim() ? { lostParts: lostParts.trim() } : {}),
    ...(lostMinutes.trim() ? { lostMinutes: lostMinutes.trim() } : {}),
  };
}

/** On which T it happened, of a cutter that is on several. */
export const WhereItBroke = ({
  control,
  ties,
}: {
  control: Control<EndTexts>;
  ties: AssemblyCard['ties'];
}) => (
  <>
    <h2>On which T?</h2>
    <Controller
      name="at"
      control={control}
      render={({ field }) => (
        <PickOne
          label="On which T?"
          options={ties.map((t) => [`${t.operation} ${t.t}`, `T${t.t} of ${t.job}`] as const)}
          value={field.value}
          onChange={field.onChange}
        />
      )}
    />
  </>
);

/** What became of the fragments: before anything else, since the T waits for it. */
export function Fragments({ control, tied }: { control: Control<EndTexts>; tied: boolean }) {
  const fragments = useWatch({ control, name: 'fragments' });
  return (
    <>
      <h2>Fragments</h2>
      <Controller
        name="fragments"
        control={control}
        render={({ field }) => (
          <PickOne
            label="Fragments"
            options={[
              ['found', 'all found'],
              ['recut', 'not found, the spot was recut'],
            ]}
            value={field.value}
            onChange={field.onChange}
          />
        )}
      />
      {fragments === 'recut' && (
        <Said
          control={control}
          name="recutBy"
          label="Recut by"
          more={{ placeholder: 'carbide 6 mm at full chip load' }}
        />
      )}
      {fragments === null && tied && (
        <div className="soft small">
          Until this is said, no cutter goes on that T and no parts are logged there.
        </div>
      )}
    </>
  );
}

/** What was lost with it; blank is not known. */
export const Lost = ({ control }: { control: Control<EndTexts> }) => (
  <Fields style={{ marginTop: 10 }}>
    <Said
      control={control}
      name="lostParts"
      label="Parts lost (if known)"
      more={{ className: 'fig', inputMode: 'numeric' }}
    />
    <Said
      control={control}
      name="lostMinutes"
      label="Minutes lost (if known)"
      more={{ className: 'fig', inputMode: 'decimal' }}
    />
  </Fields>
);

const Said = ({
  control,
  name,
  label,
  more,
}: {
  control: Control<EndTexts>;
  name: 'recutBy' | 'lostParts' | 'lostMinutes';
  label: string;
  more: Partial<Parameters<typeof Entry>[0]>;
}) => (
  <Field>
    <label htmlFor={name}>{label}</label>
    <Controller
      name={name}
      control={control}
      render={({ field }) => <Entry id={name} style={FOR_A_THUMB} {...more} {...field} />}
    />
  </Field>
);
