// What people do
export { addItem } from './verbs/addItem';
export { addPicture, keptPicture, shrinkPicture } from './verbs/addPicture';
export { linkItem } from './verbs/linkItem';
export { saveView } from './verbs/saveView';
export { stateFacts } from './verbs/stateFacts';
export { stateStanding } from './verbs/stateStanding';
// What screens show
export { PAGE_LINES, catalogueQuestion, catalogueView } from './views/catalogueView';
export type { CatalogueAsked, CatalogueLine, CatalogueView } from './views/catalogueView';
export { itemView } from './views/itemView';
export type { MarkedBody } from './views/bodiesOf';
export type { ItemLine, OneItemView } from './views/itemView';
export { savedViews } from './views/savedViews';
// Writing
export { faultParts, readFact, withFollowing } from './writeFacts';
export type { Fact } from './writeFacts';
// Shared with other rooms
export {
  cutterOf,
  factNumber,
  factText,
  holderOf,
  itemWords,
  loadItem,
  loadItems,
  loadPair,
} from './loadItems';
export type { CribItem } from './loadItems';
export { edgesOf } from './edgesOf';
export { cutterDetails, holderDetails, isPart, partOf } from './partsOf';
// Rows that screens show as they are
export type { PictureLine, SavedView } from '@/data/catalogue';
// What can be reckoned
export { CATALOGUE_COMPUTATIONS } from './computations';
