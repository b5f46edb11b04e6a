// Forms for verbs
export { VerbForm } from './VerbForm';
export { useVerb } from './useVerb';
export { useSendOnce } from './useSendOnce';
export { base64, LOST, post } from './post';
export { ProblemNote } from './ProblemNote';
export { problemOf, toInput } from './toInput';
export type { FieldOf, FieldSpec, Found, SubFormOf } from './toInput';
export { SearchField } from './SearchField';
export { SendButton } from './SendButton';
export { FileButton } from './FileButton';
