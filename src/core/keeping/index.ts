export { judgeBackups } from './judgeBackups';
export type { BackupPlan, BackupsJudged, BackupsKnown } from './judgeBackups';
