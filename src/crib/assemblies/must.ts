import { checkCutter, FAMILY_NAMES, geometry } from '@/core/cutters';
import { field, maybeLength, maybeNumber, Problem, toLength } from '@/crib/door';
import type { SheetMust } from '@/data/sheets';

/** What any cutter must have: figures of a form or a sheet. */
export const mustSchema = {
  type: 'object',
  description: 'What any cutter must have, where no very cutter is named; LCF is the least flute.',
  properties: {
    family: field.choice(FAMILY_NAMES),
    DC: field.length(0.05, 500),
    LCF: field.length(0.05, 500),
    DMM: field.length(0.5, 200),
    RE: field.length(0.01, 100),
    NOF: field.whole(1, 40),
  },
  required: ['family', 'DC'],
  additionalProperties: false,
} as const;

/** What a cutter must have, mm; refused where no cutter can be so. */
export function mustOfInput(must: {
  family: (typeof FAMILY_NAMES)[number];
  DC: string | number;
  LCF?: string | number;
  DMM?: string | number;
  RE?: string | number;
  NOF?: string | number;
}): SheetMust {
  const { family, NOF, ...lengths } = must;
  const figures = {
    DC: toLength(lengths.DC).mm,
    LCF: maybeLength(lengths.LCF)?.mm,
    DMM: maybeLength(lengths.DMM)?.mm,
    RE: maybeLength(lengths.RE)?.mm,
    NOF: maybeNumber(NOF) ?? undefined,
  };
  const fault = checkCutter(geometry(family, figures))[0];
  if (fault)
    throw new Problem('INVALID_INPUT', `${fault.field} = ${fault.value}: ${fault.words} (${fault.limit})`, {
      field: `must.${fault.field}`,
      value: fault.value,
      limit: fault.limit,
      wayOut: 'No cutter can be so: check the figure and its unit.',
    });
  return { family, ...figures };
}
