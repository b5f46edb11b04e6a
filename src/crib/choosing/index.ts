// Choosing a cutter by what the cut needs
export { chooseView, rulesInForce } from './chooseView';
export type { ChooseView } from './chooseView';
export { setChoosingRules } from './setChoosingRules';
