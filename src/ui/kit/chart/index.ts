export { RidgeChart } from './RidgeChart';
export { SurvivalChart } from './SurvivalChart';
