// Forms for verbs, what they send, and fields of their own
export { Choice, Entry, Tick } from './fields';
export { FileButton } from './FileButton';
export { FileDrop } from './FileDrop';
export { ProblemNote } from './ProblemNote';
export { SearchField } from './SearchField';
export { SendButton } from './SendButton';
export { Stepper } from './Stepper';
export { VerbForm } from './VerbForm';
export { LOST, base64, post } from './post';
export type { FieldOf, FieldSpec, Found, SubFormOf } from './toInput';
export { useSendOnce } from './useSendOnce';
export { useVerb } from './useVerb';
