/** Words with a capital first, as a sentence begins. @example sentence('second charger') // 'Second charger' */
export const sentence = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
