'use client';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import { linkTo } from '@/core/links';
import type { PocketLine, PocketsView } from '@/crib/pockets';
import { GradeMark, Row, Rows, Unknown } from '@/ui/kit/figure';
import { ProblemNote, SendButton, useVerb, VerbForm } from '@/ui/kit/form';
import { Acts } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useLengths, useTimes } from '@/ui/shell';
import { loadedWords } from './loadedWords';

/** One pocket: what is in it with its numbers there, or what goes in. */
export function PocketTag({
  line: { pocket, tool },
  machine: m,
  closeHref,
}: {
  line: PocketLine;
  machine: PocketsView['machine'];
  closeHref: string;
}) {
  const { show, unitWord } = useLengths();
  const { moment } = useTimes();
  const empty = useVerb('emptyPocket');
  if (!tool)
    return (
      <Tag over={m.code} number={`Pocket ${pocket}`} words="free" closeHref={closeHref}>
        <LoadForm machine={m.code} pocket={pocket} />
      </Tag>
    );
  const none = <Unknown>none to enter</Unknown>;
  return (
    <Tag
      over={`Pocket ${pocket} of ${m.code}`}
      number={`T${tool.t}`}
      words={tool.words}
      closeHref={closeHref}
    >
      <Rows>
        <Row name="Assembly">
          <Link className="fig" href={linkTo('rack', { open: tool.tag })}>
            {tool.tag}
          </Link>
        </Row>
        <Row name={`H${tool.h ?? ''}`} unit={tool.H === null ? undefined : m.units} big>
          {tool.H ?? none}
        </Row>
        <Row name={`D${tool.d ?? ''}`} unit={tool.D === null ? undefined : m.units}>
          {tool.D ?? none}
        </Row>
        <Row name="Weight" unit="kg">
          {tool.weight.atLeast && 'at least '}
          {tool.weight.kg.toFixed(2)}
        </Row>
        <Row name="Across" unit={tool.wideMm === null ? undefined : unitWord}>
          {tool.wideMm === null ? <Unknown>not known</Unknown> : show(tool.wideMm, 1)}
        </Row>
        <Row name="Life left">
          {tool.leftMinutes === null ? <Unknown>cannot say</Unknown> : `${tool.leftMinutes.toFixed(0)} min`}
        </Row>
      </Rows>
      {tool.use && (
        <p>{tool.use.why ? <GradeMark grade={tool.use.grade}>{tool.use.why}</GradeMark> : null}</p>
      )}
      {tool.pocket.why && (
        <p>
          <GradeMark grade={tool.pocket.grade}>{tool.pocket.why}</GradeMark>
        </p>
      )}
      {tool.sisters.length > 0 && (
        <p>
          Sister of {tool.sisters.join(', ')}: one T, each with an H and D of its own.{' '}
          {tool.counterZero === null
            ? 'Whether its life counter was set to zero, nobody said.'
            : tool.counterZero
              ? `Its life counter was set to zero by ${tool.who}.`
              : 'Its life counter went on from before.'}
        </p>
      )}
      <p className="soft small">
        In since {moment(tool.happenedAt)}, {tool.who}.{' '}
        <EntryBack entry={tool.entryId} what={`the loading of ${tool.tag}`} />
      </p>
      <ProblemNote problem={empty.problem} />
      <Acts>
        <SendButton
          pending={empty.pending}
          barred={empty.barred}
          onSend={() =>
            void empty.send({ machine: m.code, pocket }, (d) => `${d.tag} is out of pocket ${d.pocket}`)
          }
        >
          Take it out
        </SendButton>
        <Button variant="text" component={Link} href={linkTo('registers', { machine: m.code })}>
          give its numbers
        </Button>
      </Acts>
      <h2>Another goes in</h2>
      <LoadForm machine={m.code} pocket={pocket} taken={tool.tag} />
    </Tag>
  );
}

function LoadForm({ machine, pocket, taken }: { machine: string; pocket: number; taken?: string }) {
  return (
    <VerbForm
      verb="loadPocket"
      fixed={{ machine, pocket, ...(taken ? { instead: 'out' as const } : {}) }}
      submit={taken ? `Load it, ${taken} goes out` : 'Load it'}
      when
      fields={[
        { name: 'tag', label: 'Tag', help: 'typed, or scanned into the field' },
        { name: 't', label: 'T', kind: 'whole', optional: true, help: 'blank: as its job calls it' },
        { name: 'h', label: 'H', kind: 'whole', optional: true, help: 'a sister has its own' },
        { name: 'd', label: 'D', kind: 'whole', optional: true },
        {
          name: 'counter',
          label: 'Life counter at the machine',
          kind: 'choice',
          optional: true,
          options: [
            ['zero', 'set to zero'],
            ['kept', 'goes on from before'],
          ],
        },
        { name: 'despite', label: 'Why, if a stop is judged', optional: true, wide: true },
      ]}
      said={loadedWords}
    />
  );
}
