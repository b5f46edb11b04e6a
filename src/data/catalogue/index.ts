// Rows
export { STANDINGS } from './types';
export type {
  AssumedLifeRow,
  CatalogueQuestion,
  CatalogueRow,
  CutterKindRow,
  FactRow,
  FullItemRow,
  ItemPlaces,
  ItemQuestion,
  ItemRow,
  LinkRow,
  NearQuestion,
  PictureLine,
  SavedView,
  SortKey,
  Standing,
  StandingRow,
  SupplyRow,
} from './types';
// Reading
export {
  manyAssumedLives,
  manyCutterKinds,
  manyFirstAssumedLives,
  manyFacts,
  manyFullItems,
  manyHoldersOf,
  manyItemsInAnyCase,
  manyLinks,
  manyStandings,
  manySupplies,
  maybeItem,
  oneItemById,
  versionsBefore,
} from './read/items';
export { manySavedViews, maybeChoosingRules } from './read/kept';
export { countOfFamilies, manyNearItems, manyNearestHolders, manySparesFor } from './read/near';
export {
  cataloguePaged,
  catalogueRows,
  itemConditions,
  manyCatalogueIds,
  manyItemFacts,
  manyItemPlaces,
  manyTakeableIds,
  placesBelow,
} from './read/pages';
export { manyPictures, maybePicture } from './read/pictures';
// Writing
export {
  KIND_WORDS,
  enterKindWords,
  insertAssumedLife,
  insertChoosingRules,
  insertFactRows,
  insertHolderSegment,
  insertItem,
  insertItemLink,
  insertItemStanding,
  insertPicture,
  insertSavedView,
  insertSupply,
} from './write';
