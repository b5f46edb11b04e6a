// Forms for verbs and what they send
export { ForOthers } from './ForOthers';
export { ProblemNote } from './ProblemNote';
export type { Second } from './SecondPerson';
export { SearchField } from './SearchField';
export { SendButton } from './SendButton';
export { VerbForm } from './VerbForm';
export type { FieldOf, FieldSpec, Found, FoundAnswer, SubFormOf } from './toInput';
export { useSendOnce } from './useSendOnce';
export { useVerb } from './useVerb';
