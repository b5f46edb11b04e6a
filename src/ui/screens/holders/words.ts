import { counted, type HolderRule } from '@/core/holders';

const WHOSE = {
  'its own': 'By its own rule',
  'the shop’s': 'By the shop’s rule',
  assumed: 'Assumed, until you say your rule',
} as const satisfies Record<HolderRule['from'], string>;

/** A rule in words. Example: 'By the shop’s rule: looked over after 12 months, pull studs changed after 36 months'. */
export function ruleWords(rule: HolderRule): string {
  const after = [
    ...(rule.lookMonths === null ? [] : [counted(rule.lookMonths, 'month')]),
    ...(rule.lookClampings === null ? [] : [counted(rule.lookClampings, 'clamping')]),
  ];
  return `${WHOSE[rule.from]}: ${[
    after.length ? `looked over after ${after.join(' or ')}` : 'looked over at no set time',
    ...(rule.studMonths === null ? [] : [`pull studs changed after ${counted(rule.studMonths, 'month')}`]),
  ].join(', ')}`;
}
