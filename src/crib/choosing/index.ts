// What people do
export { setChoosingRules } from './verbs/setChoosingRules';
// What screens show
export { chooseView } from './views/chooseView';
export type { ChooseView } from './views/chooseView';
// Shared with other rooms
export { rulesInForce } from './rulesInForce';
