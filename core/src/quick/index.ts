import { USUAL, type Assumed, type QuickAnswer } from './answer.js';
import { arrivesAnswer, gaugeAnswer, holeAnswer, sizeAnswer } from './cable.js';
import { boilAnswer, chargeAnswer, fridgeAnswer, inverterAnswer } from './energy.js';
import { readQuestion } from './question.js';

export { type Assumed, type Chip, type QuickAnswer } from './answer.js';

/** Answers by how much of a question they want: the first that has all of it answers. */
const ANSWERS = [holeAnswer, inverterAnswer, boilAnswer, fridgeAnswer, chargeAnswer, arrivesAnswer, sizeAnswer, gaugeAnswer] as const;

/**
 * Answers what is asked under a bonnet, without a job: “40 A 6 m”, “16 mm2 6 m 25A”, “6 gauge”, “12.45 V agm”,
 * “1500 W inverter”, “boil 2 l”, “hole 3x16mm2”, “fridge 45 W 33 %”. Null where it is no such question.
 * @example quickAnswer('6 gauge')?.says // '13.3 mm², about 8.3 mm outside'
 */
export function quickAnswer(typed: string, assumed: Partial<Assumed> = {}): QuickAnswer | null {
  const question = readQuestion(typed);
  // Volts of a system that are typed beside amps or watts are no reading.
  const typed24 = question.volt === 24 && (question.amp !== null || question.watt !== null);
  const all = { ...USUAL, ...(typed24 ? { nominalV: 24 as const } : {}), ...assumed };
  for (const answer of ANSWERS) {
    const found = answer(question, all);
    if (found) return found;
  }
  return null;
}
