/** Behind the end of a sentence or a comma, and before a word that joins what follows. */
const JOINT = /[.!?;]\s+(?=\S)|,\s+|\s+(?=(?:and|but|also|plus|then|while)\s)/gi;

/** Where in a line talk may turn to something else: offsets into it, in order, of the words that would begin there. */
export const joints = (text: string): number[] => [...text.matchAll(JOINT)].map((match) => match.index + match[0].length);
