// One screen an area
export { BuyingScreen } from './BuyingScreen';
export { ChooseScreen } from './ChooseScreen';
export { CuttersScreen } from './CuttersScreen';
export { EndScreen } from './EndScreen';
export { ExchangeScreen } from './ExchangeScreen';
export { HistoryScreen } from './HistoryScreen';
export { JobsScreen } from './JobsScreen';
export { LifeScreen } from './LifeScreen';
export { MachinesScreen } from './MachinesScreen';
export { PlacesScreen } from './places/PlacesScreen';
export { PrintTag } from './PrintTag';
export { RackScreen } from './RackScreen';
export { RunScreen } from './RunScreen';
export { StartScreen } from './StartScreen';
export { TodayScreen } from './TodayScreen';
