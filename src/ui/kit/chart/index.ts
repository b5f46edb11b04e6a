export { Axes } from './Axes';
export { ChangeChart } from './ChangeChart';
export { RidgeChart } from './RidgeChart';
export { SurvivalChart } from './SurvivalChart';
