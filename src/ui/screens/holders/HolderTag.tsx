'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { KINDS } from '@/core/cutters';
import { HOLDER_LOOKS } from '@/core/holders';
import { linkTo } from '@/core/links';
import type { HolderSheet } from '@/crib/holders';
import { BecauseThis, GradeMark, Row, Rows, Unknown } from '@/ui/kit/figure';
import { Link } from '@/ui/kit/link';
import { Acts, Fold, Lines, Notice } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useQuery } from '@/ui/screens/common/query';
import { useLengths, useTimes } from '@/ui/shell';
import { RunoutChart } from './RunoutChart';
import { ruleWords } from './words';

const FORMS = {
  look: dynamic(() => import('./forms').then((m) => m.LookForm)),
  stud: dynamic(() => import('./forms').then((m) => m.StudForm)),
};
const FellForm = dynamic(() => import('./forms').then((m) => m.FellForm));
const RuleForm = dynamic(() => import('./forms').then((m) => m.RuleForm));

/** One holder, extension or collet and its life. */
export function HolderTag({ holder: h }: { holder: HolderSheet }) {
  const query = useQuery('holders');
  const { moment, day } = useTimes();
  const { show, unitWord } = useLengths();
  const act = query.get('do');
  const done = () => history.replaceState(null, '', query.href({ do: null }));
  const Form = act === 'look' || act === 'stud' ? FORMS[act] : null;
  const total = h.clamped[0]?.nth ?? 0;
  return (
    <Tag
      over={`A ${KINDS[h.kind].words}`}
      number={h.mark}
      words={h.item}
      closeHref={query.href({ open: null, do: null })}
    >
      {h.against.map((j) =>
        j.grade === 'stop' ? (
          <Notice key={j.code} kind="stop">
            <strong>{j.words}.</strong> It runs nowhere. <BecauseThis because={j.because} />
          </Notice>
        ) : (
          <Notice key={j.code}>
            <strong>{j.words}.</strong> <BecauseThis because={j.because} />
          </Notice>
        ),
      )}
      <Rows>
        <Row name="Where">
          {h.tag ? (
            <Link className="fig" href={linkTo('rack', { open: h.tag })}>
              {h.tag}
            </Link>
          ) : (
            (h.place ?? <Unknown>not known: in no build since it has its mark</Unknown>)
          )}
        </Row>
        <Row
          name="Clampings"
          note={h.clampings === total ? undefined : `${h.clampings} since it was looked over`}
        >
          {total}
        </Row>
        <Row name="In use since">
          {h.since === null ? <Unknown>not known</Unknown> : day(`${h.since}T12:00:00Z`)}
        </Row>
      </Rows>
      {h.dues.map((d) => (
        <div key={d.what} className="small">
          {d.late ? <GradeMark grade="question">{said(d.words)}</GradeMark> : said(d.words)}{' '}
          <BecauseThis because={d.because} />
        </div>
      ))}
      {Form ? (
        <Form mark={h.mark} onDone={done} />
      ) : act === 'fell' ? (
        <FellForm of={{ mark: h.mark }} onDone={done} />
      ) : (
        <Acts>
          <Button
            variant={h.todo ? 'contained' : 'outlined'}
            component={Link}
            href={query.href({ do: 'look' })}
            scroll={false}
          >
            Look it over
          </Button>
          {h.takesStud && (
            <Button component={Link} href={query.href({ do: 'stud' })} scroll={false}>
              New pull stud
            </Button>
          )}
          <Button variant="text" component={Link} href={query.href({ do: 'fell' })} scroll={false}>
            it was dropped
          </Button>
        </Acts>
      )}
      <RunoutChart holder={h} />
      <h2>What was said of it</h2>
      {h.events.length === 0 && <p className="soft">Nothing yet.</p>}
      <Lines>
        {h.events.map((e) => (
          <li key={`${e.what} ${e.entryId}`}>
            {e.what}
            {e.found && (
              <>
                :{' '}
                <GradeMark grade={e.found === 'good' ? 'good' : e.found === 'doubt' ? 'question' : 'stop'}>
                  {HOLDER_LOOKS[e.found]}
                </GradeMark>
              </>
            )}
            {e.runoutMm !== null && `, runs out ${show(e.runoutMm, 3)} ${unitWord}`}
            {e.stud && `: ${e.stud}`}
            {e.torque !== null && `, ${e.torque} N m`}
            {e.words && `: ${e.words}`}
            {e.by && `, ask ${e.by}`}{' '}
            <span className="soft small">
              {moment(e.happenedAt)}, {e.who}
            </span>{' '}
            <EntryBack entry={e.entryId} what={`that ${h.mark} was ${e.what}`} />
          </li>
        ))}
      </Lines>
      <h2>Clamped in it</h2>
      {h.clamped.length === 0 && <p className="soft">Nothing since it has its mark.</p>}
      <Lines small>
        {h.clamped.slice(0, 12).map((k) => (
          <li key={k.nth}>
            <span className="fig">{k.nth}</span> {k.cutter} in <span className="fig">{k.tag}</span>
            {k.runoutMm !== null && `, runs out ${show(k.runoutMm, 3)} ${unitWord}`}{' '}
            <span className="soft">{moment(k.happenedAt)}</span>
          </li>
        ))}
      </Lines>
      <div className="soft small">
        {ruleWords(h.rule)}. <EntryBack entry={h.entryId} what={`the mark ${h.mark}`} />
      </div>
      <Fold label={`A rule of ${h.item} of its own`}>
        <RuleForm rule={h.rule} item={h.item} />
      </Fold>
    </Tag>
  );
}

const said = (words: string): string => `${words[0]?.toUpperCase() ?? ''}${words.slice(1)}`;
