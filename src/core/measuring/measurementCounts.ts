/**
 * Whether a measurement counts: nothing questioned it and nobody rejected it, or it was in question and a person
 * accepted it. `accepted`: null where nobody judged it. Example: one question, not judged: false.
 */
export const measurementCounts = (m: { questions: readonly unknown[]; accepted: boolean | null }): boolean =>
  m.questions.length === 0 ? m.accepted !== false : m.accepted === true;
