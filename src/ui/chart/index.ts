// Charts
export { SurvivalChart } from './SurvivalChart';
