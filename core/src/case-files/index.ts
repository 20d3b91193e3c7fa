export { answer, QUESTIONS, type Answer, type Question } from './answer.js';
