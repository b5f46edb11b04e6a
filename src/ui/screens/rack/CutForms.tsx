'use client';
import { sure } from '@/core/sure';
import type { AssemblyView } from '@/crib/rack';
import { VerbForm } from '@/ui/kit/form';

const NOTE = { name: 'note', label: 'Why', wide: true, optional: true } as const;

/** What one log came to in truth: an override, a T left out, a program that could not be read. */
export function CorrectCut({
  log: l,
  tag,
  holes,
  onDone,
}: {
  log: AssemblyView['cut']['logs'][number];
  tag: string;
  holes: boolean;
  onDone: () => void;
}) {
  return (
    <VerbForm
      verb="correctUse"
      fixed={{ use: sure(l.useId, 'a log that can be corrected') }}
      submit="Correct it"
      fields={[
        {
          name: 'minutes',
          label: 'Minutes in the cut, in truth',
          kind: 'number',
          start: String(Math.round(l.minutes * 1000) / 1000),
        },
        ...(holes
          ? [
              {
                name: 'holes',
                label: 'Holes, in truth',
                kind: 'whole',
                start: l.holes === null ? '' : String(l.holes),
                optional: true,
              } as const,
            ]
          : []),
        NOTE,
      ]}
      begin
      onDone={onDone}
      said={() => `what ${tag} cut is corrected`}
    />
  );
}

/** What it cut that no log of parts says. */
export function CutBeside({ card, onDone }: { card: AssemblyView; onDone: () => void }) {
  return (
    <>
      <p className="soft small">
        By hand, on another machine, in a part that was mended. Where the minutes are not known its life is a
        lower bound from then on.
      </p>
      <VerbForm
        verb="recordUse"
        fixed={{ tag: card.tag }}
        submit="Add it"
        when
        fields={[
          {
            name: 'material',
            label: 'In',
            kind: 'choice',
            options: card.cut.materials.map((m) => [m.code, `${m.code}, ${m.name}`] as const),
            start: card.cut.on[0]?.material,
          },
          { name: 'minutes', label: 'Minutes in the cut', kind: 'number', optional: true },
          { name: 'holes', label: 'Holes', kind: 'whole', optional: true },
          { name: 'metres', label: 'Metres fed', kind: 'number', optional: true },
          NOTE,
        ]}
        begin
        onDone={onDone}
        said={() => `what ${card.tag} cut beside the logs is kept`}
      />
    </>
  );
}
