import type { ProblemDocument } from '@/crib/door';

/**
 * A problem in the words of the form: where it begins with the name the API has for a field, it begins with that field's
 * label. Example: 'rpmMax: “ten” is not a number' in a form with 'Highest rev/min' -> 'Highest rev/min: “ten” …'.
 */
export function inFormWords(
  problem: ProblemDocument,
  fields: readonly { name: string; label: string }[],
): ProblemDocument {
  const said = (detail: string, name: string | null): string => {
    const field = fields.find((f) => f.name === name || f.name.startsWith(`${name}.`));
    return field && name !== null && detail.startsWith(`${name}: `)
      ? `${field.label}: ${detail.slice(name.length + 2)}`
      : detail;
  };
  return {
    ...problem,
    detail: problem.problems.reduce((detail, p) => said(detail, p.field), problem.detail),
    problems: problem.problems.map((p) => ({ ...p, detail: said(p.detail, p.field) })),
  };
}
