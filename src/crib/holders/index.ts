// What people do
export { changeStud } from './verbs/changeStud';
export { dropHolder } from './verbs/dropHolder';
export { lookOverHolder } from './verbs/lookOverHolder';
export { markHolder } from './verbs/markHolder';
export { setHolderRule } from './verbs/setHolderRule';
// What screens show
export { holderSheet, holdersView, lateHolders } from './views/holdersView';
export type { HolderLine, HolderSheet, HoldersView } from './views/holdersView';
