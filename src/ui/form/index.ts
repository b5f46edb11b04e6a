// Forms for verbs
export { VerbForm } from './VerbForm';
export { useVerb } from './useVerb';
export { ProblemNote } from './ProblemNote';
export { problemOf, toInput } from './toInput';
export type { FieldSpec, SubForm } from './toInput';
export { FileButton } from './FileButton';
