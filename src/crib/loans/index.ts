// What people do
export { issueStock } from './verbs/issueStock';
export { returnStock } from './verbs/returnStock';
