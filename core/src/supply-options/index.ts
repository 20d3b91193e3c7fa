export * from './drafts.js';
export { afterCommands, jobFromAnswers, type FromAnswers } from './from-answers.js';
export { finish, type Finished } from './finish.js';
export * from './fixed-parts.js';
export * from './intake.js';
export { takeDraft } from './take.js';
