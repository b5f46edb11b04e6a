// What people do
export { emptyPocket } from './verbs/emptyPocket';
export { keepTool } from './verbs/keepTool';
export { loadPocket } from './verbs/loadPocket';
export { stateMagazine } from './verbs/stateMagazine';
// What screens show
export { kitView } from './views/kitView';
export type { KitView } from './views/kitView';
export type { KitPiece, KitTool } from './kitTool';
export type { PullLine } from './pullList';
export { pocketsView } from './views/pocketsView';
export type { KitOf, PocketLine, PocketsView, ToolHere } from './views/pocketsView';
