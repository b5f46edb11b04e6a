// Charts
export { SurvivalChart } from './SurvivalChart';
export { RidgeChart } from './RidgeChart';
