export { FellForm } from './forms';
export { HoldersScreen } from './HoldersScreen';
