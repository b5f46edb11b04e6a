import { familySpec, reach } from '../cutters';
import type { Candidate, Choice } from './candidate';
import { FEATURES, isRough, type Cut } from './cut';
import { edgeReason } from './materials';
import type { ChoosingRules, Reason } from './rules';
import { mm } from './verdict';

/** What speaks for a cutter: each reason between 0 and 1, times the shop's weight. */
export function reasonsFor(cut: Cut, c: Candidate, rules: ChoosingRules): Choice['reasons'] {
  const out: Choice['reasons'] = [];
  const add = (reason: Reason, share: number | null, words: string) => {
    const points = Math.round((share ?? 0) * rules.weights[reason] * 100) / 100;
    if (share !== null && points > 0) out.push({ reason, words, points });
  };
  const g = c.cutter;
  if (familySpec(g.family).first?.includes(cut.feature))
    add('meant', 1, `a ${familySpec(g.family).words} is what ${FEATURES[cut.feature].words} wants`);
  const mills = familySpec(g.family).mills;
  const deep = reach(g);
  if (deep !== null && cut.depth !== null && deep >= cut.depth)
    add('short', cut.depth / deep, `reaches ${mm(deep - cut.depth)} further than needed`);
  const limit =
    cut.feature === 'slot'
      ? cut.width
      : cut.corner === null
        ? cut.clearance
        : Math.min(2 * cut.corner, cut.clearance ?? Infinity);
  if (mills && limit !== null)
    add('stout', Math.min(1, g.DC / limit) ** 2, `${mm(g.DC)} of at most ${mm(limit)}`);
  const range = cut.group === null ? undefined : rules.flutes[cut.group];
  if (mills && range && g.NOF !== null)
    add(
      'flutes',
      g.NOF >= range[0] && g.NOF <= range[1] ? 1 : null,
      `${g.NOF} flutes, ${range[0]} to ${range[1]} suit ${cut.group}`,
    );
  edgeReason(cut, c, add);
  if (mills && g.RE !== null && g.RE > 0 && familySpec(g.family).tip !== 'ball' && (cut.floorRadius ?? 0) > 0)
    add('corner', 1, `radius ${mm(g.RE)}`);
  const rough = isRough(cut);
  if (rough === true) {
    const takes = rules.bulk === 'indexable first' ? c.indexable : !c.indexable;
    add('bulk', takes ? 1 : g.family === 'roughing' ? 0.7 : null, takes ? rules.bulk : 'a roughing cutter');
  }
  if (rules.finishing === 'kept apart') {
    if (rough === false && g.family !== 'roughing') add('kept', 1, 'a finisher, for a finishing cut');
    if (rough === true && g.family === 'roughing') add('kept', 1, 'keeps the finishers sharp');
  }
  if (rough === true && c.graded.length)
    add('graded', 1, `graded: ${c.graded.map((x) => x.mark).join(', ')}`);
  if (c.followed && c.unused > 0) add('old', 1, 'a newer version follows it');
  if (!c.guesses.length) add('known', 1, 'every fact of it is known');
  return out;
}
