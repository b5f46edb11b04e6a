// The ledger: entries, what leans on what, answers to forms
export * from './entries';
