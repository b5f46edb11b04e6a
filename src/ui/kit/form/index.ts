// Forms for verbs and what they send
export { ProblemNote } from './ProblemNote';
export { SearchField } from './SearchField';
export { SendButton } from './SendButton';
export { VerbForm } from './VerbForm';
export { LOST, base64, post } from './post';
export type { FieldOf, FieldSpec, Found, FoundAnswer, SubFormOf } from './toInput';
export { useSendOnce } from './useSendOnce';
export { useVerb } from './useVerb';
